<script setup lang="ts">
import { readTrace, traceCsv } from '#core/link'
import { INSTRUMENT_ROLE, type Step } from '#core/step'
import { plainWords } from '~/errors/plainWords'
import { benchDesk } from '~/link/benchDesk'
import { useLinks } from '~/link/links'
import type { StationRun } from '~/composables/useStationRun'

/** Reads a whole sweep from an analyser that answers, up to the tenth harmonic; it comes in as a file would. */
const { run, step } = defineProps<{ run: StationRun; step: Step }>()
const emit = defineEmits<{ file: [file: File] }>()
const store = useReviewStore()
const ui = useUiStore()
const own = useOwnBenchStore()
const { links, virtualSeed } = useLinks()
const practice = usePracticeBench()
const isBusy = ref(false)
/** A little beyond the tenth harmonic, as far as the analyser goes. */
const REACH = 10.2

const isAnalyser = computed(() => run.instrument.value?.kind === 'spectrum-analyser')

async function read(): Promise<void> {
  if (run.unsafe.value) return ui.sayProblem('A bench check is open: nothing is keyed before it is seen to.')
  isBusy.value = true
  try {
    const file = await sweep()
    if (file) emit('file', file)
  } catch (error) {
    ui.sayProblem(error)
  }
  isBusy.value = false
}

async function sweep(): Promise<File | null> {
  const desk = benchDesk({
    ...{ step: () => step, context: () => store.context!, links: links.value },
    ...{ books: own.bench.phrasebooks, seed: virtualSeed.value, practice: practice.value },
    keyedSince: () => (ui.keyedNow?.setId === step.set.id ? ui.keyedNow.since : null),
    goesOn: async () => true,
  })
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
  return new File([traceCsv(result.trace)], `sweep of ${name}.csv`, { type: 'text/csv' })
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
