<script setup lang="ts">
import type { StaircaseDrawing } from '~/charts/staircase'

/** The level along a chain, drawn: the carrier, a harmonic right at its limit, and where an instrument is at ease. */
const { drawing, width, height } = defineProps<{ drawing: StaircaseDrawing; width: number; height: number }>()
</script>

<template>
  <svg :width="width" :height="height" role="img" :aria-label="drawing.spoken" class="drawing">
    <g v-for="line in drawing.gridLines" :key="line.levelDbm">
      <line :x1="46" :x2="width - 8" :y1="line.y" :y2="line.y" class="grid" />
      <text x="40" :y="line.y + 4" class="axis">{{ line.label }}</text>
    </g>
    <g v-for="zone in drawing.zones" :key="zone.id">
      <rect :x="zone.x" :y="zone.y" :width="zone.width" :height="zone.height" :class="['zone', zone.id]" />
      <text
        v-if="zone.height > 15"
        :x="zone.x + zone.width - 8"
        :y="zone.labelY"
        :class="['zone-label', zone.id]"
      >
        {{ zone.label }}
      </text>
    </g>
    <path v-if="drawing.limitPath" :d="drawing.limitPath" class="limit" />
    <path :d="drawing.carrierPath" class="carrier" />
    <circle
      v-if="drawing.carrierEnd"
      :cx="drawing.carrierEnd.x"
      :cy="drawing.carrierEnd.y"
      r="5.5"
      class="bead"
    />
    <circle
      v-if="drawing.limitEnd"
      :cx="drawing.limitEnd.x"
      :cy="drawing.limitEnd.y"
      r="4.5"
      class="limit-bead"
    />
    <text x="58" :y="drawing.carrierLabelY" class="carrier-label">carrier</text>
    <text v-if="drawing.limitLabelY !== null" x="58" :y="drawing.limitLabelY" class="limit-label">
      a harmonic right at its limit
    </text>
    <text :x="width - 10" :y="height - 4" class="axis-title">level along the chain, dBm</text>
  </svg>
</template>

<style scoped>
.drawing {
  display: block;
  border-top: 1px solid var(--line);
}
.grid {
  stroke: var(--line);
  stroke-width: 1;
}
.axis,
.axis-title {
  fill: var(--ink-3);
  font-family: var(--figures);
  font-size: 12px;
  text-anchor: end;
}
.axis-title {
  font-family: var(--face);
  font-size: 13px;
}
.zone {
  stroke: none;
}
.zone.damage {
  fill: rgb(var(--v-theme-outside-wash));
}
.zone.overload {
  fill: rgb(var(--v-theme-close-wash));
}
.zone.well {
  fill: rgb(var(--v-theme-inside-wash));
}
.zone.noise {
  fill: rgb(var(--v-theme-noise));
}
.zone-label {
  text-anchor: end;
  font-size: 13px;
  font-weight: 700;
}
.zone-label.damage {
  fill: var(--outside);
}
.zone-label.overload {
  fill: var(--close);
}
.zone-label.well {
  fill: var(--inside);
}
.zone-label.noise {
  fill: var(--not-covered);
  font-weight: 400;
}
.carrier {
  fill: none;
  stroke: var(--spruce);
  stroke-width: 4;
  stroke-linejoin: round;
}
.limit {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-dasharray: 6 4;
}
.bead {
  fill: var(--spruce);
  stroke: var(--sheet);
  stroke-width: 2;
}
.limit-bead {
  fill: var(--ink);
  stroke: var(--sheet);
  stroke-width: 2;
}
.carrier-label {
  fill: var(--spruce);
  font-weight: 700;
  font-size: 14px;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4;
}
.limit-label {
  fill: var(--ink);
  font-size: 14px;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4;
}
</style>
