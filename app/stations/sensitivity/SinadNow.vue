<script setup lang="ts">
import { AUDIO_FILTER_TITLES, type AudioFilter, SINAD_DEFAULTS } from '#core/signal'
import { clickScatterDb, figureName } from '#core/hearing'
import { printDb, printNumber } from '#core/quantity'
import { hearingFilter, SENSITIVITY_ID } from '#core/station'
import type { StationPart } from '~/stations'
import SignalToNoise from './SignalToNoise.vue'
import ToneBar from './ToneBar.vue'

/** What comes in just now: SINAD five times a second, the tone, what disturbs it, and whether it is fit to keep. */
const { result } = defineProps<StationPart>()
const store = useReviewStore()

const filter = computed<AudioFilter>(() => (store.context ? hearingFilter(store.context) : 'voice'))
const settings = computed(() => ({
  ...SINAD_DEFAULTS,
  weighting: { filter: filter.value, deEmphasisS: null },
}))
const { state, heard, past, devices, deviceId, channel, channels, listen, stop } = useListening(
  () => settings.value,
)
const FILTERS = Object.entries(AUDIO_FILTER_TITLES).map(([value, title]) => ({ value, title }))

const isOn = computed(() => state.value.kind === 'listening' || state.value.kind === 'starting')
const steady = computed(() => heard.value?.steady ?? null)
const scatterDb = computed(() =>
  steady.value ? clickScatterDb({ ...steady.value, sinadDb: steady.value.sinadDb }) : null,
)
const figure = computed(() => (steady.value ? printNumber(steady.value.sinadDb, 1) : '–'))
const remarks = computed(() => (state.value.kind === 'listening' ? state.value.remarks : []))
const doubts = computed(() => [...remarks.value, ...(heard.value?.doubts ?? [])])
const canKeep = computed(
  () => keepHeard !== null && takesFigures.value && steady.value !== null && !store.readOnly,
)
/** Without a limiter it is (S+N)/N: what is heard with the modulation on against off. */
const isRatio = computed(() => result.step.band.mode !== 'FM')
const device = computed(() => (state.value.kind === 'listening' ? state.value.device : ''))
/** Only a station that asks for SINAD itself takes it over; at the others it is watched. */
const takesFigures = computed(() => result.slots.some(({ slot }) => slot.kind.is === 'point'))
const sourceWords = computed(() =>
  state.value.kind === 'listening'
    ? `${state.value.device}, ${state.value.sampleRateHz} samples a second · ${AUDIO_FILTER_TITLES[filter.value]}`
    : AUDIO_FILTER_TITLES[filter.value],
)
const steadyWords = computed(() => (steady.value ? `steady for ${steady.value.seconds} s` : ''))

function chooseFilter(value: string | null): void {
  if (!value) return
  store.change('the filter of the audio', draft => {
    draft.memos[SENSITIVITY_ID] = { bySet: {}, ...draft.memos[SENSITIVITY_ID], common: { filter: value } }
  })
}

const keepHeard = useKeepHeard({ device: () => device.value, filter: () => filter.value })

/** Keeps the mean; one with doubts only when it is insisted on. */
function keep(insisted = false): void {
  const now = steady.value
  if (!now || scatterDb.value === null || !canKeep.value || isRatio.value) return
  if (doubts.value.length > 0 && !insisted) return
  const how = `Mean of ${now.seconds} s`
  keepHeard?.({ db: now.sinadDb, scatterDb: scatterDb.value, how, doubts: doubts.value })
}

/** Keeps (S+N)/N; that there is no tone while the modulation is off is no doubt of it. */
function keepRatio(ratio: { db: number; scatterDb: number }): void {
  keepHeard?.({ ...ratio, how: 'Modulation on against off, two seconds each,', doubts: remarks.value })
}

function toggle(): void {
  if (isOn.value) stop()
  else void listen()
}
useKeys({ l: toggle, k: () => keep() })
</script>

<template>
  <section class="sheet now" aria-label="SINAD now">
    <div class="spread">
      <h2>{{ figureName(result.step.band) }} now</h2>
      <span class="small quiet">{{ sourceWords }}{{ steadyWords ? ` · ${steadyWords}` : '' }}</span>
    </div>
    <div v-if="isOn" class="live">
      <p class="figure value" data-testid="sinad-now" aria-live="off">{{ figure }}</p>
      <p class="small quiet range">
        {{ scatterDb === null ? 'dB' : `±${printDb(2 * scatterDb)}` }}
      </p>
      <ToneBar class="bar" :heard="heard" :past="past" />
    </div>
    <p v-if="state.kind === 'stopped'" class="small problem" role="alert">
      <VerdictMark state="outside" /> {{ state.words }}
    </p>
    <ul v-if="isOn && doubts.length" class="doubts small" aria-live="polite" data-testid="doubts">
      <li v-for="doubt in doubts" :key="doubt"><VerdictMark state="too-close" /> {{ doubt }}</li>
    </ul>
    <SignalToNoise
      v-if="isOn && isRatio && takesFigures"
      :heard="heard"
      :disabled="store.readOnly"
      @keep="keepRatio"
    />
    <div class="row">
      <VBtn :variant="isOn ? 'outlined' : 'flat'" :color="isOn ? undefined : 'primary'" @click="toggle">{{
        isOn ? 'Stop listening' : 'Listen'
      }}</VBtn>
      <VBtn
        v-if="isOn && takesFigures && !isRatio"
        color="primary"
        :disabled="!canKeep || doubts.length > 0"
        @click="keep()"
        >Keep {{ figure }}</VBtn
      >
      <VBtn v-if="isOn && canKeep && doubts.length && !isRatio" variant="text" @click="keep(true)"
        >Keep all the same</VBtn
      >
      <VSelect
        v-if="devices.length > 1"
        v-model="deviceId"
        class="choice"
        :items="devices"
        item-value="id"
        label="Input"
      />
      <VSelect
        v-if="isOn && channels > 1"
        v-model="channel"
        class="short"
        :items="[
          { value: 0, title: 'left' },
          { value: 1, title: 'right' },
        ]"
        label="Channel"
      />
      <VSelect
        class="choice"
        :model-value="filter"
        :items="FILTERS"
        label="Filter"
        :disabled="store.readOnly"
        @update:model-value="chooseFilter"
      />
      <span class="small quiet keys"
        >L listens{{ takesFigures ? ', K keeps' : '' }}; or type what the meter shows.</span
      >
    </div>
  </section>
</template>

<style scoped>
.now {
  padding: 10px 14px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
}
.live {
  display: grid;
  grid-template-columns: auto auto minmax(0, 1fr);
  gap: 14px;
  align-items: center;
}
.value {
  font-size: 40px;
  font-weight: 700;
  line-height: 1.1;
  min-width: 110px;
}
.range {
  width: 60px;
}
.doubts {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 3px;
}
.problem {
  color: var(--outside);
}
.choice {
  max-width: 190px;
  min-width: 150px;
}
.short {
  max-width: 120px;
}
@media (max-width: 600px) {
  .live {
    grid-template-columns: auto minmax(0, 1fr);
  }
  .bar {
    grid-column: 1 / -1;
  }
}
</style>
