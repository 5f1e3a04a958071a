<script setup lang="ts">
import { printDb } from '#core/quantity'
import { combOf, combOfFigures, type RecordingAnalysis } from '#core/signal'
import {
  type Slot,
  type Step,
  type StepResult,
  TWO_TONE_EQUIPMENT,
  TWO_TONE_ID,
  TWO_TONE_INSTRUMENTS,
} from '#core/station'
import { buildChannelSpectrumOption } from '~/charts/channelSpectrumOption'
import { curveNote } from '~/charts/curveNote'
import { nothingToDraw } from '~/charts/nothingToDraw'
import type { FigureInput } from '~/composables/useStationRun'

const HALF_WIDTH_HZ = 6_000

const store = useReviewStore()
const run = useStationRun(TWO_TONE_ID, () => 'W')
const palette = useChartPalette()
const recordings = useRecordings(run.step, () => ({
  deviation: false,
  twoTone: true,
  resolutionHz: 8,
  channelSpacingHz: null,
}))
const { keep } = useKeepRecording(run, recordings, { halfWidthHz: () => HALF_WIDTH_HZ, kinds: ['spectrum'] })
const { record } = useSimulatedReceiver()
const { head, points } = useStepCurve(run.step, 'spectrum')

const optionsOf = (slot: Slot) =>
  slot.id === 'imbalance'
    ? { unit: 'dB' as const, min: -20, max: 20 }
    : { unit: 'dB' as const, min: 0, max: 120 }
const placeholderOf = (slot: Slot) => {
  if (slot.measures === 'dB') {
    if (slot.id === 'imbalance') return 'dB'
    return 'dB below'
  }
  return ''
}

function figuresOf({ twoTone: found, words }: RecordingAnalysis): FigureInput[] {
  if (!found) return []
  const method = `Tones ${printDb(found.meanToneDb)} of full scale, ${(found.upperHz - found.lowerHz).toFixed(1)} Hz apart; the worse of both sides, against the mean of both tones. ${words}`
  return [
    ...([3, 5, 7] as const).flatMap((order): FigureInput[] => {
      const worst = found.worst[order]
      return worst
        ? [
            {
              slotId: `imd${order}`,
              text: `${worst.isUpperBound ? '≥ ' : ''}${worst.belowToneDb.toFixed(1)} dB`,
              value: worst.belowToneDb,
              unit: 'dB',
              resolution: 0,
              standardUncertainty: worst.standardUncertaintyDb,
              method: `${method}${worst.isUpperBound ? ' It lies in the noise: at least this far down.' : ''}`,
            },
          ]
        : []
    }),
    {
      slotId: 'imbalance',
      text: `${found.imbalanceDb.toFixed(2).replace('-', '−')} dB`,
      value: found.imbalanceDb,
      unit: 'dB',
      resolution: 0,
      standardUncertainty: found.imbalanceUncertaintyDb,
      method,
    },
  ]
}

/** Tones 700 and 1900 Hz, where only figures were typed. */
const TYPED_SPACING_HZ = 1200

/** The comb: tones and products named in the kept spectrum, or as the typed figures make it. */
const drawn = (result: StepResult) => {
  const curve = points.value
  const typed = Object.fromEntries(
    result.slots.flatMap(({ slot, figure }) =>
      figure && slot.id.startsWith('imd') ? [[Number(slot.id.slice(3)), figure.value]] : [],
    ),
  )
  const teeth = curve ? combOf(curve) : combOfFigures(typed, TYPED_SPACING_HZ)
  return buildChannelSpectrumOption({
    palette: palette.value,
    curve,
    bands: [],
    levelName: 'dB',
    halfWidthHz: HALF_WIDTH_HZ,
    upright: curve === null,
    lines: teeth.map(({ hz, levelDb, order }) => ({
      hz,
      levelDb,
      label: order === 1 ? 'tone' : `IMD${order}`,
    })),
  })
}

const tickKey = (step: Step) => `${step.set.id}|${step.id}`
const ticked = (step: Step) => store.review?.ticks[tickKey(step)] ?? []
function tick(step: Step, id: string, value: boolean): void {
  store.change('a line of the equipment list', draft => {
    const now = draft.ticks[tickKey(step)] ?? []
    draft.ticks[tickKey(step)] = value
      ? [...now.filter(other => other !== id), id]
      : now.filter(other => other !== id)
  })
}
const spoken = (result: StepResult) =>
  `Two tones and their products. ${
    result.slots
      .filter(({ figure }) => figure)
      .map(({ slot, words }) => `${slot.label}: ${words}`)
      .join('; ') || 'Nothing read yet.'
  }`
</script>

<template>
  <StationFrame
    :run="run"
    title="Two-tone, SSB"
    :instruments="TWO_TONE_INSTRUMENTS"
    :options-of="optionsOf"
    :placeholder-of="placeholderOf"
    recordings
    accept=".wav,.sigmf,.sigmf-meta,.sigmf-data"
    nothing-words="The two-tone test is for SSB; this set has no SSB band on its card."
    @files="recordings.bringIn"
  >
    <template #before="{ step }">
      <details class="sheet equipment" :open="ticked(step).length < TWO_TONE_EQUIPMENT.length && undefined">
        <summary>
          On the bench: {{ TWO_TONE_EQUIPMENT.filter(({ id }) => ticked(step).includes(id)).length }} of
          {{ TWO_TONE_EQUIPMENT.length }} ticked
        </summary>
        <ul>
          <li v-for="item in TWO_TONE_EQUIPMENT" :key="item.id">
            <VCheckbox
              :model-value="ticked(step).includes(item.id)"
              :label="item.words"
              :disabled="store.readOnly"
              @update:model-value="value => tick(step, item.id, value === true)"
            />
          </li>
        </ul>
      </details>
    </template>
    <template #drawing="{ result }"
      ><Drawing
        :option="drawn(result)"
        :spoken="spoken(result)"
        tall
        caption="The comb"
        :note="curveNote(head, points)"
        :nothing="nothingToDraw(result, points)"
    /></template>
    <template #summary
      ><p class="small quiet helper">
        Two schools: against either tone, or against the peak envelope power, 6.02 dB more flattering. Stored
        against either tone; both are said everywhere.
      </p></template
    >
    <template #actions="{ step }"
      ><VBtn variant="outlined" @click="record(step).then(recordings.bringIn)">Simulated receiver</VBtn
      ><RecordingDialog
        :recordings="recordings"
        :step="step"
        :targets="[{ id: 'all', title: 'Everything' }]"
        :figures-of="figuresOf"
        :half-width-hz="HALF_WIDTH_HZ"
        @take="keep"
    /></template>
  </StationFrame>
</template>

<style scoped>
.equipment {
  padding: 10px 16px;
}
.equipment summary {
  cursor: pointer;
  font-weight: 600;
}
.equipment ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
.helper {
  padding: 8px;
}
</style>
