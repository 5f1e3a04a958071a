<script setup lang="ts">
import { printDb, printFrequencyShort, printSigned } from '#core/quantity'
import { hearingOf } from '#core/station'
import type { StationPart } from '~/stations'

/** Is the generator where the receiver hears best? A parabola through the skirts. */
const { run, result } = defineProps<StationPart>()

const WIDTH = 240
const HEIGHT = 76
const EDGE_HZ = 1200

const points = computed(() =>
  result.slots.flatMap(({ slot, reading }) =>
    slot.kind.is === 'offset' && reading?.seen.as === 'figure'
      ? [{ offsetHz: Number(slot.kind.hz), sinadDb: reading.seen.value }]
      : [],
  ),
)
const best = computed(() =>
  run.shownContext.value ? hearingOf(result.step, run.shownContext.value).best : null,
)

const heights = computed(() => points.value.map(({ sinadDb }) => sinadDb))
const highest = computed(() => Math.max(...heights.value))
const lowest = computed(() => Math.min(...heights.value, highest.value - 3))
const x = (hz: number) => ((hz + EDGE_HZ) / (2 * EDGE_HZ)) * WIDTH
const y = (db: number) => 12 + ((highest.value - db) / (highest.value - lowest.value)) * (HEIGHT - 34)

const words = computed(() => {
  if (!best.value || best.value.kind === 'too-few')
    return 'SINAD a little above the knee at three offsets or more tells where it hears best.'
  if (best.value.kind === 'flat')
    return `Flat within ${printDb(best.value.spreadDb)}: read lower, where the skirts fall off.`
  const { offsetHz } = best.value
  const off = Math.abs(offsetHz)
  return off <= 300
    ? `Best at ${printSigned(offsetHz, 0)} Hz: yes.`
    : `Best at ${printSigned(offsetHz, 0)} Hz: set the generator ${printFrequencyShort(off)} ${offsetHz > 0 ? 'up' : 'down'}.`
})
</script>

<template>
  <section class="sheet panel" aria-label="Is the generator on frequency?">
    <h2>Is the generator on frequency?</h2>
    <svg
      v-if="points.length"
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      class="skirts"
      role="img"
      :aria-label="`${points.length} offsets read. ${words}`"
    >
      <line :x1="0" :x2="WIDTH" :y1="HEIGHT - 18" :y2="HEIGHT - 18" class="axis" />
      <line
        v-if="best?.kind === 'found'"
        :x1="x(best.offsetHz)"
        :x2="x(best.offsetHz)"
        :y1="4"
        :y2="HEIGHT - 18"
        class="best"
      />
      <circle
        v-for="point in points"
        :key="point.offsetHz"
        :cx="x(point.offsetHz)"
        :cy="y(point.sinadDb)"
        r="4.5"
        class="point"
      />
      <text :x="x(-1000)" :y="HEIGHT - 4" text-anchor="middle">−1 kHz</text>
      <text :x="x(0)" :y="HEIGHT - 4" text-anchor="middle">0</text>
      <text :x="x(1000)" :y="HEIGHT - 4" text-anchor="middle">+1 kHz</text>
    </svg>
    <p class="small quiet">{{ words }}</p>
  </section>
</template>

<style scoped>
.skirts {
  width: 100%;
  max-width: 300px;
}
.axis {
  stroke: var(--line-2);
}
.best {
  stroke: var(--ink-2);
}
.point {
  fill: var(--spruce);
}
text {
  fill: var(--ink-3);
  font-family: var(--figures);
  font-size: 11px;
}
</style>
