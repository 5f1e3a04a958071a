<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { type Plot, plotFigure } from '#core/plot'

/** A plot with its title, as wide as there is room, in the colours of the theme. */
const { plot, height = 230 } = defineProps<{ plot: Plot; height?: number }>()
const inks = useInks()
const host = useTemplateRef<HTMLElement>('host')
const { width } = useElementSize(host)

const LEAST_PX = 280
const drawing = computed(() =>
  plotFigure(plot, {
    width: Math.max(LEAST_PX, Math.floor(width.value)),
    height,
    inks: inks.value,
    size: 12,
  }),
)
</script>

<template>
  <figure ref="host">
    <figcaption>
      <strong>{{ plot.title }}</strong> <span class="small quiet">{{ plot.subtitle }}</span>
    </figcaption>
    <SvgDrawing :drawing="drawing" class="drawn" />
  </figure>
</template>

<style scoped>
figure {
  margin: 6px 0;
  min-width: 0;
}
.drawn {
  display: block;
  max-width: 100%;
}
@media print {
  figure {
    break-inside: avoid;
  }
}
</style>
