<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { type DischargeLog, parseDischargeCsv } from '#core/format'
import { printNumber } from '#core/quantity'
import { capacityFromLog, dischargeCurve, simulatedPackLog } from '#core/station'
import type { StationPart } from '~/stations'

/** Brings the log of a discharge in, from a file or from the simulated pack. */
const { run } = defineProps<StationPart>()
const store = useReviewStore()
const ui = useUiStore()
const picker = useTemplateRef<{ pick: () => void }>('picker')
const { keepCurve } = useKeepCurve(run)
const hasPack = computed(() => run.step.value?.slots.some(({ id }) => id === 'logged') ?? false)

async function take(files: File[]): Promise<void> {
  const [file] = files
  if (!file || store.readOnly) return
  if (!hasPack.value) return ui.sayProblem('This set has no battery of its own: nothing to discharge.')
  try {
    const log = parseDischargeCsv(await file.text(), file.name, { constantA: typedLoadA() })
    const { hashOf } = await import('~/workers/recordingWorkers')
    await keep(log, file.name, await hashOf(file))
  } catch (error) {
    ui.sayProblem(error)
  }
}

/** The constant load, where its current was typed. */
function typedLoadA(): number | null {
  const step = run.step.value
  const seen = step && store.context?.readingsOf(step).get('discharge-a')?.seen
  return seen?.as === 'figure' ? seen.value : null
}

async function keep(log: DischargeLog, fileName: string, sha256 = ''): Promise<void> {
  const words = log.understood.join(' ')
  const done = await keepCurve({
    kind: 'discharge',
    fileName,
    sha256,
    words,
    points: dischargeCurve(log),
    figures: source => [capacityFromLog(log, source)],
  })
  if (done) ui.say(`The discharge of “${fileName}” is kept. ${words}`)
}

/** The simulated pack’s stand-in for the link: a discharge of hours, six hundred times as fast. */
const SPEED = 600
const EVERY_MS = 250
const NAME = 'simulated pack.csv'
const live = shallowRef<{ head: string; lines: string[]; beganAt: number; done: number } | null>(null)
const clock = useIntervalFn(readPack, EVERY_MS, { immediate: false })

const secondsOf = (line: string): number => Number.parseFloat(line)

function start(): void {
  if (!run.step.value) return
  const [head = '', ...lines] = simulatedPackLog(run.step.value).split('\n')
  live.value = { head, lines, beganAt: Date.now(), done: 0 }
  clock.resume()
}

function readPack(): void {
  const now = live.value
  if (!now) return clock.pause()
  const atS = ((Date.now() - now.beganAt) / 1000) * SPEED
  const done = now.lines.filter(line => secondsOf(line) <= atS).length
  live.value = { ...now, done }
  if (done >= now.lines.length) void stop()
}

/** Keeps what came so far: how far down it went stands beside the capacity. */
async function stop(): Promise<void> {
  const now = live.value
  clock.pause()
  live.value = null
  if (!now) return
  try {
    const text = [now.head, ...now.lines.slice(0, now.done)].join('\n')
    await keep(parseDischargeCsv(text, NAME, { constantA: null }), NAME)
  } catch (error) {
    ui.sayProblem(error)
  }
}

const liveWords = computed(() => {
  const [seconds, volts, amperes] = live.value?.lines[live.value.done - 1]?.split(',').map(Number) ?? []
  return seconds === undefined
    ? ''
    : `${printNumber(seconds / 3600, 2)} h: ${printNumber(volts, 2)} V, ${printNumber(amperes, 2)} A, ${SPEED} times as fast`
})

// A discharge belongs to the set it was begun on.
watch(
  () => run.step.value?.set.id,
  () => {
    clock.pause()
    live.value = null
  },
)

function pick(): void {
  picker.value?.pick()
}

defineExpose({ pick, take })
</script>

<template>
  <template v-if="hasPack">
    <FilePick
      ref="picker"
      label="Log of a discharge"
      accept=".csv,.txt,text/csv"
      :disabled="store.readOnly"
      @files="take"
      >Bring in a discharge</FilePick
    >
    <VBtn v-if="live" variant="flat" color="primary" @click="stop">Stop and keep</VBtn>
    <VBtn v-else variant="outlined" :disabled="store.readOnly" @click="start">Simulated pack</VBtn>
    <span v-if="liveWords" class="small" role="status" data-testid="pack-now">{{ liveWords }}</span>
  </template>
</template>
