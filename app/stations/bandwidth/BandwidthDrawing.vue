<script setup lang="ts">
import { printSigned } from '#core/quantity'
import { OCCUPIED_SLOT } from '#core/station'
import { isRead, slotOf } from '#core/step'
import { buildChannelSpectrumOption } from '~/charts/channelSpectrumOption'
import { curveNote } from '~/charts/curveNote'
import { nothingToDraw } from '~/charts/nothingToDraw'
import { spokenFigures } from '~/charts/spoken'
import type { StationPart } from '~/stations'
import { shadedBands } from './shadedBands'

/** The spectrum around the carrier with its adjacent channels; typed ones stand in the middle of theirs. */
const { run, result } = defineProps<StationPart>()
const palette = useChartPalette()
const { head, points } = useStepCurve(run.step, 'spectrum')

const typedLines = computed(() =>
  result.slots.flatMap(({ slot, found }) =>
    slot.kind.is === 'adjacent' && found
      ? [
          {
            hz: slot.frequencyHz - result.step.channel.frequencyHz,
            label: printSigned(found.value),
            levelDb: found.value,
          },
        ]
      : [],
  ),
)
const bands = computed(() =>
  shadedBands(result.step, {
    occupiedHz: slotOf(result, OCCUPIED_SLOT)?.found?.value ?? null,
    states: new Map(result.slots.filter(isRead).map(({ slot, verdict }) => [slot.id, verdict.state])),
  }),
)
const option = computed(() =>
  buildChannelSpectrumOption({
    palette: palette.value,
    curve: points.value,
    lines: points.value ? [] : typedLines.value,
    upright: true,
    levelName: 'dBc',
    halfWidthHz: run.station.recording!.halfWidthHz(result.step),
    bands: bands.value,
  }),
)
</script>

<template>
  <Drawing
    :option="option"
    :spoken="spokenFigures('Spectrum around the carrier with its neighbouring channels', result)"
    tall
    caption="Around the carrier"
    :note="curveNote(head, points)"
    :nothing="nothingToDraw(result, points)"
  />
</template>
