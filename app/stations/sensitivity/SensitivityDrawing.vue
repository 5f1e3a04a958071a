<script setup lang="ts">
import { criteriaOf, curveBand, figureName, sinadAt } from '#core/hearing'
import { printDb, printDbm, printRange } from '#core/quantity'
import { hearingOf } from '#core/station'
import { verdictColour } from '~/charts/palette'
import { buildSinadCurveOption } from '~/charts/sinadCurveOption'
import type { StationPart } from '~/stations'

/** The curve of a receiver with its band, the mark on it, and the level to set next. */
const { run, result } = defineProps<StationPart>()
const palette = useChartPalette()

const criterion = computed(() => criteriaOf(result.step.band)[0]!)
const hearing = computed(() =>
  run.shownContext.value ? hearingOf(result.step, run.shownContext.value) : null,
)
const mark = computed(() => result.slots.find(({ slot }) => slot.kind.is === 'criterion') ?? null)
const next = computed(() => run.coaching.value?.socketDbm ?? null)

/** Five decibels beyond what is drawn, in steps of five. */
const ends = computed(() => {
  const levels = [...(hearing.value?.points.map(({ levelDbm }) => levelDbm) ?? []), next.value ?? -119]
  return {
    fromDbm: Math.floor((Math.min(...levels) - 4) / 5) * 5,
    toDbm: Math.ceil((Math.max(...levels) + 4) / 5) * 5,
  }
})

const found = computed(() => {
  const at = mark.value?.found
  if (!at || !mark.value) return null
  return {
    levelDbm: at.value,
    lowDbm: at.value - at.budget.range,
    highDbm: at.value + at.budget.range,
    words: `${printDbm(at.value)} ${printRange(at.budget)}`,
    colour: verdictColour(palette.value, mark.value.verdict.state),
  }
})

const expectedDb = computed(() => {
  const level = next.value
  const curves = hearing.value?.curves ?? []
  if (level === null || curves.length === 0) return null
  const heights = curves.map(curve => sinadAt(curve, level)).sort((a, b) => a - b)
  return heights[Math.floor(heights.length / 2)] ?? null
})

const option = computed(() =>
  buildSinadCurveOption({
    palette: palette.value,
    figure: figureName(result.step.band),
    band: curveBand(hearing.value && hearing.value.points.length > 1 ? hearing.value.curves : [], ends.value),
    points: (hearing.value?.points ?? []).map(({ slot, levelDbm, sinadDb, scatterDb }) => ({
      name: slot.label,
      levelDbm,
      sinadDb,
      rangeDb: 2 * scatterDb,
    })),
    markDb: criterion.value.db,
    markTitle: criterion.value.title,
    found: found.value,
    next: next.value === null ? null : { levelDbm: next.value, sinadDb: expectedDb.value },
    ...ends.value,
  }),
)

const spoken = computed(() => {
  const points = hearing.value?.points ?? []
  const read = points.map(({ levelDbm, sinadDb }) => `${printDb(sinadDb)} at ${printDbm(levelDbm)}`)
  return `How well it hears. ${result.words}. ${read.join(', ') || 'Nothing read yet.'}`
})
</script>

<template>
  <Drawing
    :option="option"
    :spoken="spoken"
    caption="How well it hears"
    note="the thin band is the 95 % range of the curve; ○ the level to set next"
    :nothing="hearing?.points.length ? '' : 'Nothing to draw yet: it grows with every reading.'"
  />
</template>
