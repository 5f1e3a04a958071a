<script setup lang="ts">
import { printDbm } from '#core/quantity'
import { blockingRatios, survivalOf } from '#core/station'
import { buildRejectionOption } from '~/charts/rejectionOption'
import { spokenRatios } from '~/charts/spoken'
import { buildSurvivalOption } from '~/charts/survivalOption'
import type { StationPart } from '~/stations'
import { drawnLimits } from '../drawnLimits'

/** Blocking over its offsets; beside it the 12 dB level before and after strong signals. */
const { run, result } = defineProps<StationPart>()
const palette = useChartPalette()

const ratios = computed(() =>
  run.shownContext.value ? blockingRatios(result.step, run.shownContext.value) : [],
)
const drawn = computed(() =>
  ratios.value.map(({ offsetHz, found, ceiling, slot }) => ({
    offset: offsetHz / 1e6,
    ratioDb: found.value,
    rangeDb: found.budget.range,
    isLowerBound: ceiling.isLowerBound,
    name: slot.label,
  })),
)
const blocking = computed(() =>
  buildRejectionOption({
    palette: palette.value,
    unit: 'MHz',
    rejections: drawn.value,
    ceiling: ratios.value.map(({ offsetHz, ceiling }) => ({
      offset: offsetHz / 1e6,
      ceilingDb: ceiling.ceilingDb,
    })),
    limits: drawnLimits(result.slots.find(({ slot }) => slot.kind.is === 'blocking')),
    furthest: 11,
  }),
)
const survival = computed(() =>
  run.shownContext.value ? survivalOf(result.step, run.shownContext.value) : null,
)
const survivalOption = computed(
  () => survival.value && buildSurvivalOption({ palette: palette.value, survival: survival.value }),
)
const spokenBlocking = computed(() => `Blocking. ${spokenRatios(drawn.value)}`)
const spokenSurvival = computed(() => {
  if (!survival.value) return ''
  const { before, after, words } = survival.value
  return `Survival. ${words}. Before: ${before.map(level => printDbm(level)).join(', ')}. After: ${after.map(level => printDbm(level)).join(', ')}.`
})
</script>

<template>
  <div class="stack">
    <Drawing
      :option="blocking"
      :spoken="spokenBlocking"
      caption="How strong a carrier elsewhere may be"
      note="above the 12 dB level; shaded: hidden by the interferer’s own noise"
      :nothing="drawn.length ? '' : 'Nothing to draw yet: it grows with each offset.'"
    />
    <Drawing
      v-if="survival && survivalOption"
      :option="survivalOption"
      :spoken="spokenSurvival"
      caption="12 dB level before and after"
      :note="survival.words"
    />
  </div>
</template>
