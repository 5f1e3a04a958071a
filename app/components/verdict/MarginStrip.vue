<script setup lang="ts">
import { marginWords, stripGeometry, type Verdict } from '#core/decision'
import { printHalfWidth } from '#core/quantity'

const { verdict } = defineProps<{ verdict: Verdict }>()

const geometry = computed(() => stripGeometry(verdict))
const ticks = computed(() => geometry.value.ticks.map(place => `M${place} 15v5`).join(''))
const whiskerEnds = computed(() => {
  const { whisker } = geometry.value
  return whisker ? [whisker.from, whisker.to] : []
})
const percent = (share: number) => `${(share * 100).toFixed(2)}%`
const spoken = computed(() => {
  const { margin, range, unit } = verdict
  if (margin === null || geometry.value.mark === null) return 'No mark: nothing was measured here.'
  const by = `${marginWords(verdict)}${unit === 'dB' ? ' dB' : ''}`
  const known = range === null ? '' : `, range ${printHalfWidth(range, unit)}`
  return `${margin >= 0 ? 'Inside' : 'Beyond'} the limit by ${by}${known}.`
})
</script>

<template>
  <span class="strip" role="img" :aria-label="spoken" :style="{ '--limit': percent(geometry.limitAt) }">
    <svg class="lines" width="100%" height="26" aria-hidden="true" focusable="false">
      <svg viewBox="0 0 1 26" preserveAspectRatio="none">
        <path class="ticks" :d="ticks" vector-effect="non-scaling-stroke" />
      </svg>
      <g v-if="geometry.whisker" :class="['whisker', 'verdict-ink', verdict.state]">
        <line :x1="percent(geometry.whisker.from)" y1="13" :x2="percent(geometry.whisker.to)" y2="13" />
        <line v-for="(end, i) in whiskerEnds" :key="i" :x1="percent(end)" y1="8" :x2="percent(end)" y2="18" />
      </g>
      <svg v-if="geometry.mark !== null" class="seat" :x="percent(geometry.mark)" y="13">
        <VerdictMark :state="verdict.state" :size="14" x="-7" y="-7" />
      </svg>
    </svg>
  </span>
</template>

<style scoped>
/* One element and one drawing, none of them positioned: tables hold dozens of strips. */
.strip {
  display: block;
  height: 26px;
  min-width: 90px;
  width: 100%;
  background:
    linear-gradient(var(--ink), var(--ink)) calc(var(--limit) + 0.4px) 1px / 3px 24px,
    linear-gradient(rgb(var(--v-theme-inside-wash)), rgb(var(--v-theme-inside-wash))) 0 6px / var(--limit)
      14px,
    repeating-linear-gradient(
        135deg,
        rgb(var(--v-theme-outside-wash)) 0 4px,
        rgba(var(--v-theme-outside), 0.28) 4px 5px
      )
      100% 6px / calc(100% - var(--limit)) 14px;
  background-repeat: no-repeat;
}
.lines {
  display: block;
}
/* A mark at the edge stands out over it. */
.lines,
.lines svg {
  overflow: visible;
}
.ticks {
  stroke: var(--ink-3);
  stroke-opacity: 0.7;
  stroke-width: 1px;
}
.whisker {
  stroke: currentcolor;
  stroke-width: 2px;
}
/* A rim of paper keeps the mark apart from the limit it may lie on. */
.seat :deep(circle),
.seat :deep(path) {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 1px;
}
</style>
