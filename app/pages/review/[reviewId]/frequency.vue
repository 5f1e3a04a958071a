<script setup lang="ts">
import { printMhzFigure, printSigned } from '#core/quantity'
import { setShortName } from '#core/review'
import type { RecordingAnalysis } from '#core/signal'
import {
  FREQUENCY_ID,
  FREQUENCY_INSTRUMENTS,
  limitInHz,
  stationById,
  type Slot,
  type StepResult,
  warmUpDriftHz,
} from '#core/station'
import { nothingToDraw } from '~/charts/nothingToDraw'
import { buildLevelsOption } from '~/charts/levelsOption'
import type { FigureInput } from '~/composables/useStationRun'

const HALF_WIDTH_HZ = 5_000

const store = useReviewStore()
const run = useStationRun(FREQUENCY_ID, () => 'W')
const palette = useChartPalette()
const recordings = useRecordings(run.step, () => ({
  deviation: true,
  twoTone: false,
  resolutionHz: 20,
  channelSpacingHz: null,
}))
const { keep } = useKeepRecording(run, recordings, { halfWidthHz: () => HALF_WIDTH_HZ, kinds: ['spectrum'] })
const { record } = useSimulatedReceiver()

const optionsOf = (slot: Slot) => ({
  unit: 'Hz' as const,
  bareScale: 1e6,
  aroundHz: slot.frequencyHz,
  min: 1e5,
  max: 1e11,
})
const placeholderOf = () => 'MHz or +Hz'
const TARGETS = [
  { id: 'cold', title: 'Cold, right after switching on' },
  { id: 'warm', title: 'Warm, after ten minutes' },
]

function figuresOf(
  { deviation: d }: RecordingAnalysis,
  target: string,
  centreHz: number | null,
): FigureInput[] {
  if (!d || centreHz === null) return []
  const value = centreHz + d.carrierHz
  return [
    {
      slotId: target,
      text: `${(value / 1e6).toFixed(7)} MHz`,
      value,
      unit: 'Hz',
      resolution: 0,
      standardUncertainty: d.carrierUncertaintyHz,
      method: `Mean frequency over ${d.usedS.toFixed(1)} s of keyed signal, middle of the recording at ${printMhzFigure(centreHz)} MHz.`,
    },
  ]
}

/** All radios on the same band, cold and warm, in ppm. */
function radiosOf(result: StepResult): { name: string; here: boolean; values: (number | null)[] }[] {
  const context = store.context!
  const station = stationById(FREQUENCY_ID)
  const here = result.step
  return context.review.sets.flatMap(set => {
    const step =
      set.id === here.set.id
        ? here
        : station.plan(set, context).find(({ band }) => band.name === here.band.name)
    const slots = step && (step === here ? result : station.evaluate(step, context)).slots
    const values =
      slots?.map(({ figure }) => (figure ? (figure.value / step!.channel.frequencyHz) * 1e6 : null)) ?? []
    return values.some(value => value !== null)
      ? [{ name: setShortName(set), here: set.id === here.set.id, values }]
      : []
  })
}
const drawn = (result: StepResult) => {
  const here = result.step
  const limit = result.slots.map(slot => slot.limit).find(one => one?.kind === 'scalar')
  return buildLevelsOption({
    palette: palette.value,
    places: ['cold', 'warm'],
    radios: radiosOf(result),
    unit: 'ppm',
    limit:
      limit?.kind === 'scalar'
        ? (limitInHz(limit.limit, here.channel.frequencyHz) / here.channel.frequencyHz) * 1e6
        : null,
  })
}
const drift = (result: StepResult) => {
  const hz = warmUpDriftHz(result)
  return hz === null
    ? ''
    : `It moves by ${printSigned(hz, 0)} Hz (${printSigned((hz / result.step.channel.frequencyHz) * 1e6, 2)} ppm) from cold to warm.`
}
const spoken = (result: StepResult) =>
  `Frequency error in parts per million. ${
    result.slots
      .filter(({ figure }) => figure)
      .map(({ slot, words }) => `${slot.label}: ${words}`)
      .join('; ') || 'Nothing read yet.'
  }`
</script>

<template>
  <StationFrame
    :run="run"
    title="Frequency error"
    :instruments="FREQUENCY_INSTRUMENTS"
    :options-of="optionsOf"
    :placeholder-of="placeholderOf"
    value-head="Error"
    wide
    recordings
    accept=".wav,.sigmf,.sigmf-meta,.sigmf-data"
    nothing-words="Nothing is planned yet: put bands and channels on the card."
    @files="recordings.bringIn"
  >
    <template #drawing="{ result }"
      ><Drawing
        :option="drawn(result)"
        :spoken="spoken(result)"
        caption="Error, cold and warm"
        :note="`all radios on ${result.step.band.name}`"
        :nothing="nothingToDraw(result, radiosOf(result)[0])"
    /></template>
    <template #summary="{ result }"
      ><p v-if="drift(result)" class="small quiet helper">{{ drift(result) }}</p></template
    >
    <template #actions="{ step }"
      ><VBtn variant="outlined" @click="record(step).then(recordings.bringIn)">Simulated receiver</VBtn
      ><RecordingDialog
        :recordings="recordings"
        :step="step"
        :targets="TARGETS"
        :figures-of="figuresOf"
        :half-width-hz="HALF_WIDTH_HZ"
        @take="keep"
    /></template>
  </StationFrame>
</template>

<style scoped>
.helper {
  padding: 8px;
}
</style>
