<script setup lang="ts">
import { line } from 'd3-shape'
import { thinTrace } from '#core/format'
import { printDbm, printFrequencyShort } from '#core/quantity'
import type { TracePoints } from '#core/review'

/** A whole trace at a glance, as its instrument showed it: drawn the moment it is there. */
const { points, floorDbm } = defineProps<{ points: TracePoints; floorDbm: number | null }>()

const WIDTH = 640
const HEIGHT = 110
const DRAWN = WIDTH / 2

const thin = computed(() => thinTrace(points, DRAWN))
/** Single looks at noise go far down: below this under the middle of a trace there is nothing to see, dB. */
const UNDER_MIDDLE_DB = 12

const ends = computed(() => {
  const { levelsDbm } = thin.value
  const sorted = Float64Array.from(levelsDbm).sort()
  const [lowest = 0, middle = 0, highest = 0] = [sorted[0], sorted[sorted.length >> 1], sorted.at(-1)]
  return {
    ...{ fromHz: points.frequenciesHz[0] ?? 0, toHz: points.frequenciesHz.at(-1) ?? 1, highest },
    lowest: Math.max(lowest, middle - UNDER_MIDDLE_DB),
  }
})
const x = (hz: number) => (WIDTH * (hz - ends.value.fromHz)) / (ends.value.toHz - ends.value.fromHz || 1)
const y = (dbm: number) => {
  const { lowest, highest } = ends.value
  return 2 + ((HEIGHT - 4) * (highest - Math.max(dbm, lowest))) / (highest - lowest || 1)
}
const path = computed(() => {
  const { frequenciesHz, levelsDbm } = thin.value
  return line<number>()
    .x((_level, i) => x(frequenciesHz[i]!))
    .y(level => y(level))
    .digits(1)(levelsDbm)
})
const spoken = computed(() => {
  const { fromHz, toHz, highest } = ends.value
  const range = `${printFrequencyShort(fromHz)} to ${printFrequencyShort(toHz)}`
  return `The whole trace, ${range}; at most ${printDbm(highest, 1)} at the instrument`
})
</script>

<template>
  <figure class="glance">
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" preserveAspectRatio="none" role="img" :aria-label="spoken">
      <line v-if="floorDbm !== null" class="floor" x1="0" :x2="WIDTH" :y1="y(floorDbm)" :y2="y(floorDbm)" />
      <path class="trace" :d="path ?? ''" />
    </svg>
    <figcaption class="quiet small">{{ spoken }}</figcaption>
  </figure>
</template>

<style scoped>
.glance {
  margin: 0;
}
svg {
  display: block;
  width: 100%;
  height: 110px;
  border: 1px solid var(--line);
}
.trace {
  fill: none;
  stroke: var(--spruce);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
.floor {
  stroke: var(--close);
  stroke-dasharray: 4 3;
  vector-effect: non-scaling-stroke;
}
</style>
