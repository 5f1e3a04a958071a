<script setup lang="ts">
import { printHz } from '#core/quantity'
import type { RecordingAnalysis } from '#core/signal'
import {
  DEVIATION_ID,
  DEVIATION_INSTRUMENTS,
  firstNullToneHz,
  fullDeviationHz,
  limitInHz,
  type Slot,
  type StepResult,
} from '#core/station'
import { buildDeviationOption } from '~/charts/deviationOption'
import { nothingToDraw } from '~/charts/nothingToDraw'
import type { FigureInput } from '~/composables/useStationRun'

const HALF_WIDTH_HZ = 25_000

const run = useStationRun(DEVIATION_ID, () => 'W')
const palette = useChartPalette()
const recordings = useRecordings(run.step, step => ({
  deviation: true,
  twoTone: false,
  resolutionHz: 100,
  channelSpacingHz: step.band.channelSpacingHz,
}))
const { keep } = useKeepRecording(run, recordings, {
  halfWidthHz: () => HALF_WIDTH_HZ,
  kinds: ['deviation', 'spectrum'],
})
const { record } = useSimulatedReceiver()
const { head, points } = useStepCurve(run.step, 'deviation')

const optionsOf = (slot: Slot) =>
  slot.id === 'null-tone'
    ? { unit: 'Hz' as const, min: 50, max: 10_000 }
    : { unit: 'Hz' as const, bareScale: 1000, min: 0, max: 100_000 }
const placeholderOf = (slot: Slot) => (slot.id === 'null-tone' ? 'Hz' : 'kHz')

const TARGETS = [
  { id: 'tone', title: '1 kHz at normal level' },
  { id: 'loudest', title: 'The loudest voice or whistle' },
  { id: 'tone-squelch', title: 'The tone squelch alone' },
]

/** The larger swing counts; the tone squelch is taken along where it was found. */
function figuresOf({ deviation: d }: RecordingAnalysis, target: string): FigureInput[] {
  if (!d) return []
  const figure = (slotId: string, value: number, more: Partial<FigureInput> = {}): FigureInput => ({
    slotId,
    text: printHz(value, 4),
    value,
    unit: 'Hz',
    resolution: 0,
    method: d.words,
    ...more,
  })
  const squelch = d.subAudible
    ? [
        figure('tone-squelch', d.subAudible.deviationHz, {
          standardUncertainty: d.subAudible.standardUncertaintyHz,
          method: `${d.subAudible.usualHz ?? d.subAudible.frequencyHz.toFixed(1)} Hz, parted from the voice above it. ${d.words}`,
        }),
      ]
    : []
  if (target === 'tone-squelch') return squelch
  const raw = d.method === 'extremes'
  return [
    figure(target, Math.max(d.plusHz, d.minusHz), {
      standardUncertainty: raw ? 0.001 * d.halfPeakToPeakHz : d.standardUncertaintyHz,
      noiseAdds: d.noiseAddsHz,
      method: `+${printHz(d.plusHz, 4)}, −${printHz(d.minusHz, 4)}, half peak to peak ${printHz(d.halfPeakToPeakHz, 4)}; the larger counts. ${d.words}`,
    }),
    ...squelch,
  ]
}

/** The limit that governs, for the drawing; else what the channel is made for. */
function limitOf(result: StepResult): number | null {
  const limit = result.slots.map(slot => slot.limit).find(one => one?.kind === 'scalar')
  return limit?.kind === 'scalar' ? limitInHz(limit.limit, result.step.channel.frequencyHz) : null
}

const drawn = (result: StepResult) =>
  buildDeviationOption({
    palette: palette.value,
    curve: points.value,
    limitHz: limitOf(result),
    figures: result.slots
      .filter(({ slot, figure }) => figure && slot.id !== 'null-tone')
      .map(({ slot, figure }) => ({
        label: slot.id === 'tone' ? 'tone' : slot.id === 'loudest' ? 'loudest' : 'tone squelch',
        valueHz: figure!.value,
      })),
  })
const spoken = (result: StepResult) =>
  `Deviation over time. ${
    result.slots
      .filter(({ figure }) => figure)
      .map(({ slot, words }) => `${slot.label}: ${words}`)
      .join('; ') || 'Nothing read yet.'
  }`
</script>

<template>
  <StationFrame
    :run="run"
    title="Deviation"
    :instruments="DEVIATION_INSTRUMENTS"
    :options-of="optionsOf"
    :placeholder-of="placeholderOf"
    recordings
    accept=".wav,.sigmf,.sigmf-meta,.sigmf-data"
    nothing-words="Deviation is measured on FM bands; this set has none on its card."
    @files="recordings.bringIn"
  >
    <template #drawing="{ result }"
      ><Drawing
        :option="drawn(result)"
        :spoken="spoken(result)"
        caption="Deviation over time"
        :note="head ? head.fileName : 'figures that were typed are dashed'"
        :nothing="nothingToDraw(result, points)"
    /></template>
    <template #summary="{ step }">
      <p class="small quiet helper">
        Bessel null: turn up a clean tone of {{ printHz(firstNullToneHz(step.band), 4) }} from nothing until
        the carrier first vanishes on an analyser: that is {{ printHz(fullDeviationHz(step.band), 2) }} of
        deviation. Or take any tone, find where the carrier vanishes, and type the tone above.
      </p>
    </template>
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
  max-width: 76ch;
}
</style>
