<script setup lang="ts">
import { printWatts, wattsFromDbm } from '#core/quantity'
import { droopFullWords, droopOf, USUAL_DROOP_DB } from '#core/station'
import { buildDroopOption } from '~/charts/droopOption'
import { nothingToDraw } from '~/charts/nothingToDraw'
import type { StationPart } from '~/stations'

/** Power while kept keyed, with the claim and what is usual. */
const { result } = defineProps<StationPart>()
const palette = useChartPalette()

const store = useReviewStore()
const droop = computed(() => droopOf(result.slots, store.review?.keyDowns ?? []))
const claimW = computed(() => (result.step.claim.kind === 'watts' ? result.step.claim.powerW : null))
const option = computed(() =>
  buildDroopOption({
    palette: palette.value,
    droop: droop.value,
    claimW: claimW.value,
    usualDb: USUAL_DROOP_DB,
  }),
)
const spoken = computed(() => {
  if (!droop.value) return 'Power over time: nothing logged yet.'
  const points = droop.value.points.map(
    ({ atS, levelDbm }) => `${atS} seconds ${printWatts(wattsFromDbm(levelDbm))}`,
  )
  return `${result.words}. ${points.join(', ')}`
})
const note = computed(() =>
  droop.value
    ? droopFullWords(droop.value)
    : 'Type the power at each moment; two are enough for a droop, more give its curve. A log of time and power may be brought in as CSV.',
)
</script>

<template>
  <Drawing
    :option="option"
    :spoken="spoken"
    caption="Power while kept keyed"
    :note="note"
    :nothing="nothingToDraw(result, null)"
  />
</template>
