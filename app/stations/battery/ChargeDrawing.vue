<script setup lang="ts">
import { printAmperes } from '#core/quantity'
import { chargeShares } from '#core/station'
import { buildChargeSharesOption } from '~/charts/chargeSharesOption'
import { spokenFigures } from '~/charts/spoken'
import type { StationPart } from '~/stations'

/** Where the charge goes: mean current of each duty by what it is spent on. */
const { run, result } = defineProps<StationPart>()
const palette = useChartPalette()
const duties = computed(() =>
  run.shownContext.value ? chargeShares(result.step, run.shownContext.value) : [],
)
const option = computed(() => buildChargeSharesOption({ palette: palette.value, duties: duties.value }))
const spoken = computed(
  () =>
    `${spokenFigures('Battery and supply', result)} ${duties.value.map(({ title, meanA }) => `At ${title} it draws ${printAmperes(meanA)} on average`).join('; ')}`,
)
</script>

<template>
  <Drawing
    :option="option"
    :spoken="spoken"
    caption="Where the charge goes"
    note="mean current: % keyed / % receiving / % waiting"
    :nothing="
      duties.length ? '' : 'Nothing to draw yet: three currents, waiting, receiving and keyed, draw it.'
    "
  />
</template>
