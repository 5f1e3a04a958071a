<script setup lang="ts">
import type { EChartsCoreOption } from 'echarts/core'
import ChartPlot from '~/charts/ChartPlot.vue'

/** A drawing on a sheet of its own, with what it says in words for those who cannot see it. */
const {
  option,
  spoken,
  caption = '',
  note = '',
  tall = false,
  nothing = '',
} = defineProps<{
  option: EChartsCoreOption
  spoken: string
  caption?: string
  note?: string
  tall?: boolean
  /** Shown in place of the plot, so that the entry fields stand high, where there is nothing to draw yet. */
  nothing?: string
}>()
</script>

<template>
  <figure class="sheet drawing">
    <figcaption v-if="caption">
      <strong>{{ caption }}</strong> <span class="small quiet">{{ note }}</span>
    </figcaption>
    <p v-if="nothing" class="small quiet nothing">{{ nothing }}</p>
    <ChartPlot v-else class="plot" :class="{ tall }" :option="option" :spoken="spoken" anew />
  </figure>
</template>

<style scoped>
.drawing {
  margin: 0;
  padding: 8px 10px 4px;
}
.plot {
  height: 212px;
}
.plot.tall {
  height: 290px;
}
.nothing {
  padding: 4px 0 6px;
}
</style>
