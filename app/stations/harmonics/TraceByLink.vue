<script setup lang="ts">
import { readTrace } from '#core/link'
import { INSTRUMENT_ROLE, type Step } from '#core/step'
import { plainWords } from '~/errors/plainWords'
import type { StationRun } from '~/composables/useStationRun'
import type { TraceFileRead } from '~/workers/trace.worker'
import { warmTraceWorker } from '~/workers/traceWorker'

/** Reads a whole sweep from an analyser that answers, up to the tenth harmonic; it is then looked at as a file is. */
const { run, step } = defineProps<{ run: StationRun; step: Step }>()
const emit = defineEmits<{ sweep: [read: TraceFileRead, name: string] }>()
const store = useReviewStore()
const ui = useUiStore()
const deskAt = useBenchDesk()
const isBusy = ref(false)
/** A little beyond the tenth harmonic, as far as the analyser goes. */
const REACH = 10.2

onMounted(() => {
  void warmTraceWorker().catch(() => {})
})

const isAnalyser = computed(() => run.instrument.value?.kind === 'spectrum-analyser')

async function read(): Promise<void> {
  if (run.unsafe.value) return ui.sayProblem('A bench check is open: nothing is keyed before it is seen to.')
  isBusy.value = true
  try {
    const read = await sweep()
    if (read) emit('sweep', read.sweep, read.name)
  } catch (error) {
    ui.sayProblem(error)
  }
  isBusy.value = false
}

async function sweep(): Promise<{ sweep: TraceFileRead; name: string } | null> {
  const desk = deskAt(() => step)
  const refused = await desk.radio('keyed')
  if (refused !== null) return told(refused)
  const analyser = desk.at(INSTRUMENT_ROLE)
  if (analyser?.instrument?.kind !== 'spectrum-analyser')
    return told('No analyser that answers stands there.')
  const { line, book, instrument, name } = analyser
  const toHz = Math.min(instrument.toHz, REACH * step.channel.frequencyHz)
  const result = await readTrace(line, { book, instrument, fromHz: instrument.fromHz, toHz }).catch(
    error => ({
      ...{ is: 'failed' as const, why: plainWords(error) },
    }),
  )
  void desk.leave()
  if (result.is === 'failed') return told(`${name}: ${result.why}. Nothing was brought in.`)
  const { frequenciesHz, levelsDbm } = result.trace
  const points = levelsDbm.length
  return {
    name: `sweep of ${name}`,
    sweep: {
      ...{ frequenciesHz, levelsDbm, detection: null, levelColumns: [], levelColumn: 0 },
      resolutionBandwidthHz: instrument.resolutionBandwidthHz,
      understood: [`${points} points read from ${name}.`],
      sha256: await sha256Of(levelsDbm),
    },
  }
}

/** A hash of the levels, as a file would have one. */
async function sha256Of(levels: Float64Array): Promise<string> {
  const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', new Float64Array(levels)))
  return [...digest].map(byte => byte.toString(16).padStart(2, '0')).join('')
}

function told(words: string): null {
  ui.sayProblem(words)
  return null
}
</script>

<template>
  <VBtn v-if="isAnalyser" variant="outlined" :loading="isBusy" :disabled="store.readOnly" @click="read"
    >Read a sweep</VBtn
  >
</template>
