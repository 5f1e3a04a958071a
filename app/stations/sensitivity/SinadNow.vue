<script setup lang="ts">
import { spacingOf } from '#core/band'
import { AUDIO_FILTER_TITLES, type AudioFilter, weightingWords } from '#core/signal'
import { figureName } from '#core/hearing'
import { DE_EMPHASES_US } from '#core/station'
import type { StationPart } from '~/stations'
import LiveReading from './LiveReading.vue'

/**
 * What comes in just now. What changes five times a second is drawn by parts of their own: here only what is
 * chosen stands.
 */
const { run, result } = defineProps<StationPart>()
const isLinked = useLinkOffer(run)
const store = useReviewStore()

const { weighting, settings, deEmphasisUs, choose } = useHearingWeighting()
const listening = useListening(() => settings.value)
const { state, devices, deviceId, channel, channels, listen, stop } = listening
/** Where a select says “none”: its own value must be a string. */
const OWN = 'own'
const DE_EMPHASES = [
  { value: OWN, title: 'the radio’s own' },
  ...DE_EMPHASES_US.map(us => ({ value: `${us}`, title: `${us} µs` })),
]
const FILTERS = Object.entries(AUDIO_FILTER_TITLES).map(([value, title]) => ({ value, title }))
const CHANNELS = [
  { value: 0, title: 'left' },
  { value: 1, title: 'right' },
]

const isOn = computed(() => state.value.kind === 'listening' || state.value.kind === 'starting')
/** Only a station that asks for SINAD itself takes it over; at the others it is watched. */
const takesFigures = computed(() => result.slots.some(({ slot }) => slot.kind.is === 'point'))
const name = computed(() => figureName(result.step.band))
const sourceWords = computed(() => {
  const title = weightingWords(weighting.value)
  return state.value.kind === 'listening'
    ? `${state.value.device}, ${state.value.sampleRateHz} samples a second · ${title}`
    : title
})
const keysWords = computed(() => {
  if (isLinked.value) return takesFigures.value ? 'K keeps what is heard.' : ''
  return takesFigures.value ? 'L listens, K keeps; or type what the meter shows.' : 'L listens.'
})

function chooseFilter(filter: AudioFilter | null): void {
  if (filter) choose('the filter of the audio', { filter })
}

function chooseDeEmphasis(value: string | null): void {
  if (value) choose('the de-emphasis of the audio', { deEmphasisUs: value === OWN ? null : Number(value) })
}

function toggle(): void {
  if (isOn.value) stop()
  else void listen()
}
/** Where instruments answer, L is theirs. */
useKeys({ l: () => !isLinked.value && toggle() })
</script>

<template>
  <section class="sheet now" aria-label="SINAD now">
    <div class="spread">
      <h2>{{ name }} now</h2>
      <span class="small quiet">{{ sourceWords }}</span>
    </div>
    <LiveReading
      v-if="isOn"
      :listening="listening"
      :weighting="weighting"
      :spacing-hz="spacingOf(result.step.band)"
      :is-ratio="result.step.band.mode !== 'FM'"
      :takes-figures="takesFigures"
    />
    <p v-if="state.kind === 'stopped'" class="small problem" role="alert">
      <VerdictMark state="outside" /> {{ state.words }}
    </p>
    <div class="row">
      <VBtn :variant="isOn ? 'outlined' : 'flat'" :color="isOn ? undefined : 'primary'" @click="toggle">{{
        isOn ? 'Stop listening' : 'Listen'
      }}</VBtn>
      <VSelect
        v-if="devices.length > 1"
        v-model="deviceId"
        class="narrow"
        :items="devices"
        item-value="id"
        label="Input"
      />
      <VSelect
        v-if="isOn && channels > 1"
        v-model="channel"
        class="short"
        :items="CHANNELS"
        label="Channel"
      />
      <VSelect
        class="narrow"
        :model-value="weighting.filter"
        :items="FILTERS"
        label="Filter"
        :disabled="store.readOnly"
        @update:model-value="chooseFilter"
      />
      <VSelect
        class="narrow"
        :model-value="deEmphasisUs === null ? OWN : `${deEmphasisUs}`"
        :items="DE_EMPHASES"
        label="De-emphasis"
        :disabled="store.readOnly"
        @update:model-value="chooseDeEmphasis"
      />
      <span class="small quiet keys">{{ keysWords }}</span>
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
.problem {
  color: var(--outside);
}
.narrow {
  max-width: 190px;
  min-width: 150px;
}
.short {
  max-width: 120px;
}
</style>
