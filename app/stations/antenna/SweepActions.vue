<script setup lang="ts">
import { parseTouchstone } from '#core/format'
import { figuresFromSweep, simulatedTouchstone, sweepCurve, touchstoneOf } from '#core/station'
import type { StationPart } from '~/stations'

/** Sweeps in and out: one-port Touchstone files, or the simulated analyser’s. */
const { run, result } = defineProps<StationPart>()
const store = useReviewStore()
const ui = useUiStore()
const picker = useTemplateRef<{ pick: () => void }>('picker')
const { keepCurve } = useKeepCurve(run)
const out = computed(() => (store.context ? touchstoneOf(result.step, store.context) : null))

async function take(files: File[]): Promise<void> {
  const [file] = files
  if (!file || store.readOnly) return
  try {
    const { hashOf } = await import('~/workers/recordingWorkers')
    await keep(await file.text(), file.name, await hashOf(file))
  } catch (error) {
    ui.sayProblem(error)
  }
}

async function keep(text: string, fileName: string, sha256: string): Promise<void> {
  const step = run.step.value
  if (!step) return
  const sweep = parseTouchstone(text, fileName)
  const words = sweep.understood.join(' ')
  const reached = figuresFromSweep(step, sweep, { kind: 'typed' })
  if (reached.length === 0)
    throw new Error(`“${fileName}” holds nothing near ${step.band.name}. ${words} Nothing was brought in.`)
  const done = await keepCurve({
    kind: 'reflection',
    fileName,
    sha256,
    words,
    points: sweepCurve(sweep),
    figures: source => figuresFromSweep(step, sweep, source),
  })
  if (done) ui.say(`${reached.length} figures from “${fileName}”. ${words}`)
}

async function simulate(): Promise<void> {
  try {
    await keep(simulatedTouchstone(result.step), 'simulated antenna.s1p', '')
  } catch (error) {
    ui.sayProblem(error)
  }
}

function takeAway(): void {
  const { set, variant, band } = result.step
  const name = [set.model || 'antenna', variant?.title, band.name].filter(Boolean).join(' ')
  if (out.value !== null)
    downloadFile(`${fileNameFrom(name)}.s1p`, new Blob([out.value], { type: 'text/plain' }))
}

function pick(): void {
  picker.value?.pick()
}

defineExpose({ pick, take })
</script>

<template>
  <FilePick
    ref="picker"
    label="Touchstone file"
    accept=".s1p,.s2p,.txt"
    :disabled="store.readOnly"
    @files="take"
    >Bring in a sweep</FilePick
  >
  <VBtn variant="outlined" :disabled="store.readOnly" @click="simulate">Simulated analyser</VBtn>
  <VBtn variant="text" :disabled="out === null" @click="takeAway">Take away as .s1p</VBtn>
</template>
