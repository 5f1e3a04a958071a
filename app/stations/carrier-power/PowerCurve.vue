<script setup lang="ts">
import type { StepResult } from '#core/step'
import { useTheme } from 'vuetify'
import ChartPlot from '~/charts/ChartPlot.vue'
import { chartPalette } from '~/charts/palette'
import { buildPowerCurveOption } from './powerCurveOption'

const { results, bandName } = defineProps<{ results: StepResult[]; bandName: string }>()
const theme = useTheme()
const option = computed(() =>
  buildPowerCurveOption({
    palette: chartPalette(theme.current.value.colors as Record<string, string>),
    results,
  }),
)
const spoken = computed(
  () =>
    `Power against frequency on ${bandName}: ${
      results
        .filter(result => result.progress.read)
        .map(
          result =>
            `${result.step.channel.frequencyHz / 1e6} MHz ${result.step.setting.level.name} ${result.words}`,
        )
        .join('; ') || 'nothing read yet'
    }`,
)
</script>

<template>
  <figure class="sheet curve">
    <figcaption>
      <strong>{{ bandName }}</strong>
      <span class="small quiet">power at the socket, with its range; the thin line is the claim</span>
    </figcaption>
    <ChartPlot class="plot" :option="option" :spoken="spoken" />
  </figure>
</template>

<style scoped>
.curve {
  margin: 0;
  padding: 10px 12px;
}
strong {
  margin-right: 6px;
}
.plot {
  height: 190px;
}
</style>
