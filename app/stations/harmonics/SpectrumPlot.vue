<script setup lang="ts">
import { isRead, type SlotResult } from '#core/step'
import { useTheme } from 'vuetify'
import type { TracePoints } from '#core/review'
import ChartPlot from '~/charts/ChartPlot.vue'
import { chartPalette } from '~/charts/palette'
import { buildSpectrumOption } from './spectrumOption'

const { slots, trace, limitLabel, carrierHz, reachHz } = defineProps<{
  slots: SlotResult[]
  trace: TracePoints | null
  limitLabel: string
  carrierHz: number
  reachHz: number
}>()
const theme = useTheme()
const option = computed(() =>
  buildSpectrumOption({
    palette: chartPalette(theme.current.value.colors as Record<string, string>),
    slots,
    trace,
    limitLabel,
    carrierHz,
    reachHz,
  }),
)
const spoken = computed(
  () =>
    `Spectrum at the radio. ${
      slots
        .filter(isRead)
        .map(slot => `${slot.slot.label} ${slot.words}`)
        .join('; ') || 'Nothing read yet.'
    }`,
)
</script>

<template>
  <ChartPlot class="sheet plot" :option="option" :spoken="spoken" />
</template>

<style scoped>
.plot {
  height: 212px;
  padding: 4px 2px 2px;
}
</style>
