<script setup lang="ts">
import { useTheme } from 'vuetify'
import { printDbm } from '#core/quantity'
import type { LimitCurve } from '#core/rules'
import ChartPlot from '~/charts/ChartPlot.vue'
import { buildLimitChartOption } from '~/charts/limitChartOption'
import { chartPalette } from '~/charts/palette'

const { curves, carrierHz, carrierDbm } = defineProps<{
  curves: LimitCurve[]
  carrierHz: number
  carrierDbm: number
}>()
const theme = useTheme()
const option = computed(() =>
  buildLimitChartOption({
    palette: chartPalette(theme.current.value.colors as Record<string, string>),
    curves,
    carrierHz,
    carrierDbm,
  }),
)

function curveWords({ rulebook, answer }: LimitCurve): string {
  const found =
    answer.kind === 'limit' ? `${printDbm(answer.limitDbm, 2)} at the second harmonic` : 'no figure'
  return `${rulebook.title}: ${found}`
}

const spoken = computed(() => `Limits over frequency. ${curves.map(curveWords).join('; ')}`)
</script>

<template>
  <ChartPlot class="plot" :option="option" :spoken="spoken" anew />
</template>

<style scoped>
.plot {
  height: 290px;
}
</style>
