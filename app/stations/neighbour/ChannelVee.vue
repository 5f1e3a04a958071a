<script setup lang="ts">
import { spacingOf } from '#core/band'
import { rejectionsOf, type School, SCHOOLS } from '#core/station'
import { buildRejectionOption } from '~/charts/rejectionOption'
import { spokenRatios } from '~/charts/spoken'
import type { StationPart } from '~/stations'
import { drawnLimits } from '../drawnLimits'

/** Both sides of the channel, with what the interferer’s own noise hides shaded. */
const { run, result } = defineProps<StationPart>()
const palette = useChartPalette()

const school = computed<School>(() => {
  const context = run.shownContext.value
  const hasEn = context && rejectionsOf(result.step, 'en', context).length > 0
  const hasTia = context && rejectionsOf(result.step, 'tia', context).length > 0
  return hasEn && !hasTia ? 'en' : 'tia'
})
const sides = computed(() =>
  run.shownContext.value ? rejectionsOf(result.step, school.value, run.shownContext.value) : [],
)
const spacingKHz = computed(() => spacingOf(result.step.band) / 1e3)
const drawn = computed(() =>
  sides.value.map(({ side, found, ceiling, slot }) => ({
    offset: (side === 'lower' ? -1 : 1) * spacingKHz.value,
    ratioDb: found.value,
    rangeDb: found.budget.range,
    isLowerBound: ceiling.isLowerBound,
    name: slot.label,
  })),
)
const ceiling = computed(() => {
  const known = sides.value[0]?.ceiling.ceilingDb
  const furthest = 1.6 * spacingKHz.value
  return known === undefined ? [] : [-furthest, furthest].map(offset => ({ offset, ceilingDb: known }))
})
const limits = computed(() =>
  drawnLimits(
    result.slots.find(({ slot }) => slot.kind.is === 'rejection' && slot.kind.school === school.value),
  ),
)
const option = computed(() =>
  buildRejectionOption({
    palette: palette.value,
    unit: 'kHz',
    rejections: drawn.value,
    ceiling: ceiling.value,
    limits: limits.value,
    furthest: 1.6 * spacingKHz.value,
  }),
)
const spoken = computed(
  () => `Neighbour channel by ${SCHOOLS[school.value].title}. ${result.words}. ${spokenRatios(drawn.value)}`,
)
</script>

<template>
  <Drawing
    :option="option"
    :spoken="spoken"
    caption="How strong a neighbour may be"
    :note="`${SCHOOLS[school].title}; shaded: hidden by the interferer’s own noise`"
    :nothing="drawn.length ? '' : 'Nothing to draw yet: it grows with each side.'"
  />
</template>
