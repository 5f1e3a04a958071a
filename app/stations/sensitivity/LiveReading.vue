<script setup lang="ts">
import type { AudioWeighting } from '#core/signal'
import { clickScatterDb } from '#core/hearing'
import { printDb, printNumber } from '#core/quantity'
import LiveDoubts from './LiveDoubts.vue'
import SignalToNoise from './SignalToNoise.vue'
import ToneBar from './ToneBar.vue'

/** SINAD five times a second, the tone, what disturbs it, and whether it is fit to keep. */
const { listening, weighting, spacingHz, isRatio, takesFigures } = defineProps<{
  listening: ReturnType<typeof useListening>
  weighting: AudioWeighting
  /** Of the channels: how far a second is to be believed near the threshold hangs on it. */
  spacingHz: number
  /** Without a limiter it is (S+N)/N: what is heard with the modulation on against off. */
  isRatio: boolean
  takesFigures: boolean
}>()
const store = useReviewStore()
const ui = useUiStore()
const { state, heard, session } = listening

const steady = computed(() => heard.value?.steady ?? null)
const scatterDb = computed(() => (steady.value ? clickScatterDb(steady.value, spacingHz) : null))
const figure = computed(() => (steady.value ? printNumber(steady.value.sinadDb, 1) : '–'))
const rangeWords = computed(() => (scatterDb.value === null ? 'dB' : `±${printDb(2 * scatterDb.value)}`))
const steadyWords = computed(() => (steady.value ? `steady for ${steady.value.seconds} s` : ''))
const device = computed(() => (state.value.kind === 'listening' ? state.value.device : ''))
const remarks = computed(() => (state.value.kind === 'listening' ? state.value.remarks : []))
/** In one string, so that the same doubts are drawn once. */
const doubtWords = computed(() => [...remarks.value, ...(heard.value?.doubts ?? [])].join('\n'))
const doubts = computed(() => (doubtWords.value === '' ? [] : doubtWords.value.split('\n')))
const canKeep = computed(
  () => keepHeard !== null && takesFigures && !isRatio && steady.value !== null && !store.readOnly,
)

const keepHeard = useKeepHeard({ device: () => device.value, weighting: () => weighting })

/** Keeps the mean; one with doubts only when it is insisted on. */
function keep(insisted = false): void {
  const now = steady.value
  if (!now || scatterDb.value === null || !canKeep.value) return
  if (doubts.value.length > 0 && !insisted) {
    ui.say(`Not kept. ${doubts.value[0]} “Keep all the same” keeps it with that beside it.`)
    return
  }
  const how = `Mean of ${now.seconds} s`
  keepHeard?.({ db: now.sinadDb, scatterDb: scatterDb.value, how, doubts: doubts.value })
}

/** Keeps (S+N)/N; that there is no tone while the modulation is off is no doubt of it. */
function keepRatio(ratio: { db: number; scatterDb: number }): void {
  keepHeard?.({ ...ratio, how: 'Modulation on against off, two seconds each,', doubts: remarks.value })
}

/** By its key, which a person presses without looking: where nothing is kept, it says why. */
function keepByKey(): void {
  if (takesFigures && !isRatio && !store.readOnly && steady.value === null)
    ui.say('Not kept: the figure does not stand still yet.')
  else keep()
}

useKeys({ k: keepByKey })
</script>

<template>
  <div class="reading">
    <div class="live">
      <p class="figure value" data-testid="sinad-now" aria-live="off">{{ figure }}</p>
      <p class="small quiet range">{{ rangeWords }}<br />{{ steadyWords }}</p>
      <ToneBar :key="session" class="bar" :listening="listening" />
    </div>
    <div class="doubts" :tabindex="doubts.length > 0 ? 0 : undefined" role="group" aria-label="Doubts">
      <LiveDoubts v-if="doubts.length" :doubts="doubts" />
    </div>
    <SignalToNoise
      v-if="isRatio && takesFigures"
      :heard="heard"
      :disabled="store.readOnly"
      @keep="keepRatio"
    />
    <div v-else-if="takesFigures" class="keeps">
      <VBtn color="primary" class="keep" :disabled="!canKeep || doubts.length > 0" @click="keep()"
        >Keep&nbsp;<span class="figure">{{ figure }}</span></VBtn
      >
      <VBtn v-if="canKeep && doubts.length" variant="text" @click="keep(true)">Keep all the same</VBtn>
    </div>
  </div>
</template>

<style scoped>
/* No grid: an item of one is never laid out by itself, whatever it contains. */
.reading > * + * {
  margin-top: 6px;
}
.keeps > * + * {
  margin-left: 8px;
}
.live {
  display: grid;
  grid-template-columns: auto auto minmax(0, 1fr);
  gap: 14px;
  align-items: center;
  /* What changes in it lays nothing around it out again. */
  contain: strict;
  height: 88px;
  /* And is painted by itself: the rest of the page stays as it was painted. */
  will-change: transform;
  /* What is painted is as large as it is, whatever its words are: else the browser puts its layers together anew. */
  background: var(--sheet);
}
/* They come and go five times a second: there is room for them, and nothing below moves. */
.doubts {
  contain: strict;
  height: 68px;
  overflow-y: auto;
  will-change: transform;
}
.keep {
  contain: strict;
  width: 120px;
  will-change: transform;
}
.value {
  font-size: 40px;
  font-weight: 700;
  line-height: 1.1;
  min-width: 110px;
}
.range {
  width: 92px;
}
@media (max-width: 600px) {
  .live {
    height: 150px;
    grid-template-columns: auto minmax(0, 1fr);
  }
  .bar {
    grid-column: 1 / -1;
  }
}
</style>
