<script setup lang="ts">
import { printHz, printSigned } from '#core/quantity'
import { adjacentFilterHz, type RecordingAnalysis } from '#core/signal'
import {
  BANDWIDTH_ID,
  BANDWIDTH_INSTRUMENTS,
  NEIGHBOURS,
  spacingOf,
  type Slot,
  type Step,
  type StepResult,
} from '#core/station'
import { buildChannelSpectrumOption, type ShadedBand } from '~/charts/channelSpectrumOption'
import { curveNote } from '~/charts/curveNote'
import { nothingToDraw } from '~/charts/nothingToDraw'
import type { FigureInput } from '~/composables/useStationRun'

const run = useStationRun(BANDWIDTH_ID, () => 'W')
const palette = useChartPalette()
const halfWidthHz = computed(() => 2.75 * (run.step.value ? spacingOf(run.step.value.band) : 12_500))
const recordings = useRecordings(run.step, step => ({
  deviation: true,
  twoTone: false,
  resolutionHz: 100,
  channelSpacingHz: spacingOf(step.band),
}))
const { keep } = useKeepRecording(run, recordings, {
  halfWidthHz: () => halfWidthHz.value,
  kinds: ['spectrum', 'time-frequency'],
})
const { record } = useSimulatedReceiver()
const { head, points } = useStepCurve(run.step, 'spectrum')

const optionsOf = (slot: Slot) =>
  slot.measures === 'Hz'
    ? { unit: 'Hz' as const, bareScale: 1000, min: 0, max: 1e6 }
    : { unit: 'dB' as const, min: -200, max: 20 }
const placeholderOf = (slot: Slot) => (slot.measures === 'Hz' ? 'kHz' : 'dBc')

function figuresOf({ occupied, adjacent, words }: RecordingAnalysis): FigureInput[] {
  const obw: FigureInput[] = occupied
    ? [
        {
          slotId: 'obw',
          text: printHz(occupied.bandwidthHz, 4),
          value: occupied.bandwidthHz,
          unit: 'Hz',
          resolution: 0,
          isUpperBound: occupied.isUpperBound,
          standardUncertainty: occupied.standardUncertaintyHz,
          method: `99 % of the power within ±${printHz(occupied.withinHz, 3)}. ${words}${occupied.isUpperBound ? ' Noise holds so much of it that this is only an upper bound.' : ''}`,
        },
      ]
    : []
  const neighbours = (adjacent?.channels ?? []).map((channel): FigureInput => ({
    slotId: `acp-${channel.side}-${channel.step}`,
    text: `${printSigned(channel.ratioDb)} dBc`,
    value: channel.ratioDb,
    unit: 'dB',
    resolution: 0,
    isUpperBound: channel.isUpperBound,
    standardUncertainty: channel.standardUncertaintyDb,
    method: `Filter ${printHz(adjacent!.filterHz, 3)} wide. ${words}${channel.isUpperBound ? ' The recording’s own noise fills it: at most this.' : ''}`,
  }))
  return [...obw, ...neighbours]
}

function bandsFor(step: Step, obwHz: number | null, states: Map<string, string>): ShadedBand[] {
  const filter = adjacentFilterHz(spacingOf(step.band))
  return [
    ...(obwHz === null
      ? []
      : [{ fromHz: -obwHz / 2, toHz: obwHz / 2, label: `99 %: ${printHz(obwHz)}`, tone: 'own' as const }]),
    ...NEIGHBOURS.map(({ id, side, step: away }) => {
      const state = states.get(id)
      const middle = side * away * spacingOf(step.band)
      return {
        fromHz: middle - filter / 2,
        toHz: middle + filter / 2,
        label: away === 1 ? (side < 0 ? 'next below' : 'next above') : 'second',
        tone:
          state === 'outside'
            ? ('outside' as const)
            : state === 'too-close'
              ? ('close' as const)
              : ('neighbour' as const),
      }
    }),
  ]
}

/** Neighbours as typed, each in the middle of its channel, where no recording drew them. */
function typedLines(result: StepResult): { hz: number; label: string; levelDb: number }[] {
  return result.slots.flatMap(({ slot, figure }) =>
    figure && slot.measures === 'dB'
      ? [
          {
            hz: slot.frequencyHz - result.step.channel.frequencyHz,
            label: printSigned(figure.value),
            levelDb: figure.value,
          },
        ]
      : [],
  )
}

const drawn = (result: StepResult) =>
  buildChannelSpectrumOption({
    palette: palette.value,
    curve: points.value,
    lines: points.value ? [] : typedLines(result),
    upright: true,
    levelName: 'dBc',
    halfWidthHz: halfWidthHz.value,
    bands: bandsFor(
      result.step,
      result.slots.find(({ slot }) => slot.id === 'obw')?.figure?.value ?? null,
      new Map(
        result.slots.filter(({ figure }) => figure).map(({ slot, verdict }) => [slot.id, verdict.state]),
      ),
    ),
  })
const bandsOf = (analysis: RecordingAnalysis) =>
  run.step.value ? bandsFor(run.step.value, analysis.occupied?.bandwidthHz ?? null, new Map()) : []
const spoken = (result: StepResult) =>
  `Spectrum around the carrier with its neighbouring channels. ${
    result.slots
      .filter(({ figure }) => figure)
      .map(({ slot, words }) => `${slot.label}: ${words}`)
      .join('; ') || 'Nothing read yet.'
  }`
</script>

<template>
  <StationFrame
    :run="run"
    title="Bandwidth and neighbours"
    :instruments="BANDWIDTH_INSTRUMENTS"
    :options-of="optionsOf"
    :placeholder-of="placeholderOf"
    recordings
    accept=".wav,.sigmf,.sigmf-meta,.sigmf-data"
    nothing-words="Nothing is planned yet: put bands and channels on the card."
    @files="recordings.bringIn"
  >
    <template #drawing="{ result }"
      ><Drawing
        :option="drawn(result)"
        :spoken="spoken(result)"
        tall
        caption="Around the carrier"
        :note="curveNote(head, points)"
        :nothing="nothingToDraw(result, points)"
    /></template>
    <template #actions="{ step }"
      ><VBtn variant="outlined" @click="record(step).then(recordings.bringIn)">Simulated receiver</VBtn
      ><RecordingDialog
        :recordings="recordings"
        :step="step"
        :targets="[{ id: 'all', title: 'Everything' }]"
        :figures-of="figuresOf"
        :half-width-hz="halfWidthHz"
        :bands-of="bandsOf"
        @take="keep"
    /></template>
  </StationFrame>
</template>
