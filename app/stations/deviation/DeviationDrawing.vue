<script setup lang="ts">
import { buildDeviationOption } from '~/charts/deviationOption'
import { scalarLimitHz } from '~/charts/limitOf'
import { nothingToDraw } from '~/charts/nothingToDraw'
import { spokenFigures } from '~/charts/spoken'
import type { StationPart } from '~/stations'

/** Deviation over time, with the limit on both sides and the figures that were typed. */
const { run, result } = defineProps<StationPart>()
const palette = useChartPalette()
const { head, points } = useStepCurve(run.step, 'deviation')

const SHORT: Record<string, string> = {
  tone: 'tone',
  loudest: 'loudest',
  'tone-squelch': 'tone squelch',
}

const figures = computed(() =>
  result.slots.flatMap(one => {
    const label = SHORT[one.slot.kind.is]
    return label && one.found ? [{ label, valueHz: one.found.value }] : []
  }),
)
const option = computed(() =>
  buildDeviationOption({
    palette: palette.value,
    curve: points.value,
    limitHz: scalarLimitHz(result),
    figures: figures.value,
  }),
)
const note = computed(() => head.value?.fileName ?? 'figures that were typed are dashed')
</script>

<template>
  <Drawing
    :option="option"
    :spoken="spokenFigures('Deviation over time', result)"
    caption="Deviation over time"
    :note="note"
    :nothing="nothingToDraw(result, points)"
  />
</template>
