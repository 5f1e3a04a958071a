<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { parseLogCsv } from '#core/format'
import { levelsFromLog, logMomentsOf, simulatedLevels } from '#core/station'
import { chainIdOf } from '#core/step'
import type { StationPart } from '~/stations'

/** Brings a log of power in, from a file or from the simulated meter. */
const { run } = defineProps<StationPart>()
const store = useReviewStore()
const ui = useUiStore()
const picker = useTemplateRef<{ pick: () => void }>('picker')
const { step, bareUnit } = run

async function take(files: File[]): Promise<void> {
  const [file] = files
  if (!file || !step.value || store.readOnly) return
  try {
    const log = parseLogCsv(await file.text(), file.name, { bareUnit: bareUnit.value })
    const source = { kind: 'recording' as const, fileName: file.name, sha256: '', curveIds: [] }
    const levels = levelsFromLog(step.value, log, { bareUnit: bareUnit.value, source })
    if (levels.length === 0)
      throw new Error(`“${file.name}” holds no line near the moments of the log. Nothing was brought in.`)
    run.keep(levels, `${levels.length} moments from ${file.name}`)
    ui.say(`${levels.length} moments from “${file.name}” are in the table. ${log.understood.join(' ')}`)
  } catch (error) {
    ui.sayProblem(error)
  }
}

function pick(): void {
  picker.value?.pick()
}

/** The simulated meter’s stand-in for the link: a log of five minutes, thirty times as fast. */
const SPEED = 30
const EVERY_MS = 250
const meter = ref<{ beganAt: number; done: number } | null>(null)
const clock = useIntervalFn(readMeter, EVERY_MS, { immediate: false })
const mayStart = computed(() => step.value !== null && chainIdOf(step.value) !== null && !store.readOnly)

function start(): void {
  meter.value = { beganAt: Date.now(), done: 0 }
  clock.resume()
}

function stop(): void {
  clock.pause()
  meter.value = null
}
watch(() => step.value?.id, stop)

function readMeter(): void {
  const place = step.value
  const state = meter.value
  if (!place || !state) return stop()
  const atS = ((Date.now() - state.beganAt) / 1000) * SPEED
  const moments = logMomentsOf(place)
  const due = moments.slice(state.done).filter(moment => moment <= atS)
  if (due.length === 0) return
  const levels = simulatedLevels(place, due)
  run.keep(levels, `${levels.length} moments from the simulated meter`)
  const done = state.done + due.length
  if (done >= moments.length) stop()
  else meter.value = { ...state, done }
}

defineExpose({ pick, take })
</script>

<template>
  <FilePick ref="picker" label="Log file" accept=".csv,.txt,text/csv" :disabled="store.readOnly" @files="take"
    >Bring in a log</FilePick
  >
  <VBtn v-if="meter" variant="flat" color="primary" @click="stop">Stop the meter</VBtn>
  <VBtn v-else variant="outlined" :disabled="!mayStart" @click="start">Simulated meter</VBtn>
</template>
