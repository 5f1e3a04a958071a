<script setup lang="ts">
import { type DischargeLog, parseDischargeCsv } from '#core/format'
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

async function simulate(): Promise<void> {
  if (!run.step.value) return
  try {
    const name = 'simulated pack.csv'
    await keep(parseDischargeCsv(simulatedPackLog(run.step.value), name, { constantA: null }), name)
  } catch (error) {
    ui.sayProblem(error)
  }
}

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
    <VBtn variant="outlined" :disabled="store.readOnly" @click="simulate">Simulated pack</VBtn>
  </template>
</template>
