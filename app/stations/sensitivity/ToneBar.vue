<script setup lang="ts">
import type { Heard } from '~/workers/listen.worker'

/** Tone, distortion and noise as one bar, the level against clipping, and the last seconds. */
const { heard, past } = defineProps<{ heard: Heard | null; past: readonly number[] }>()

/** The bar shows voltages: at 12 dB SINAD noise is a quarter of the whole. */
const widths = computed(() => {
  const shares = heard?.shares
  if (!shares) return null
  const [tone, distortion, noise] = [shares.tone, shares.distortion, shares.noise].map(Math.sqrt) as [
    number,
    number,
    number,
  ]
  const whole = tone + distortion + noise
  return { tone: tone / whole, distortion: distortion / whole, noise: noise / whole }
})
const toneWords = computed(() => (heard?.toneHz ? `the tone, ${heard.toneHz.toFixed(1)} Hz` : 'no tone yet'))

const FLOOR_DB = -60
const CLIPS_WITHIN_DB = 3
const level = computed(() => Math.max(0, Math.min(1, ((heard?.peakDb ?? FLOOR_DB) - FLOOR_DB) / -FLOOR_DB)))
const isNear = computed(() => (heard?.peakDb ?? FLOOR_DB) > -CLIPS_WITHIN_DB)
const levelWords = computed(() => {
  if (!heard) return 'no level yet'
  const under = Math.max(0, -heard.peakDb)
  return isNear.value
    ? `${under.toFixed(1)} dB under clipping: turn it down`
    : `${under.toFixed(0)} dB under clipping`
})

const line = computed(() => {
  if (past.length < 2) return ''
  const low = Math.min(...past) - 0.5
  const high = Math.max(...past) + 0.5
  return past
    .map(
      (value, i) =>
        `${((i / (past.length - 1)) * 100).toFixed(1)},${(20 - ((value - low) / (high - low)) * 18).toFixed(1)}`,
    )
    .join(' ')
})
</script>

<template>
  <div class="bars">
    <div class="whole" role="img" :aria-label="toneWords">
      <template v-if="widths">
        <span class="tone" :style="{ width: `${100 * widths.tone}%` }">{{ toneWords }}</span>
        <span class="distortion" :style="{ width: `${100 * widths.distortion}%` }" />
        <span class="noise" :style="{ width: `${100 * widths.noise}%` }" />
      </template>
      <span v-else class="none">{{ toneWords }}</span>
    </div>
    <div class="under small quiet">
      <svg viewBox="0 0 100 22" preserveAspectRatio="none" aria-hidden="true">
        <polyline :points="line" />
      </svg>
      <span class="key"><i class="distortion" /> distortion <i class="noise" /> noise</span>
    </div>
    <div class="level" :class="{ near: isNear }">
      <div class="track"><span :style="{ width: `${100 * level}%` }" /></div>
      <span class="small" data-testid="input-level">{{ levelWords }}</span>
    </div>
  </div>
</template>

<style scoped>
.bars {
  contain: content;
  display: grid;
  gap: 4px;
  min-width: 0;
}
.whole {
  display: flex;
  height: 26px;
  background: rgb(var(--v-theme-track));
  overflow: hidden;
}
.tone {
  background: var(--spruce);
  color: rgb(var(--v-theme-on-primary));
  padding: 2px 8px;
  font-size: 13px;
  white-space: nowrap;
  overflow: hidden;
  box-sizing: border-box;
}
.none {
  padding: 2px 8px;
  color: var(--ink-2);
  font-size: 13px;
}
.distortion {
  background: rgb(var(--v-theme-close));
}
.noise {
  background: var(--ink-3);
}
.under {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  align-items: center;
}
svg {
  flex: 1;
  height: 22px;
}
polyline {
  fill: none;
  stroke: var(--spruce);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
.key i {
  display: inline-block;
  width: 10px;
  height: 10px;
}
.level {
  display: flex;
  gap: 10px;
  align-items: center;
}
.track {
  flex: 1;
  height: 6px;
  background: rgb(var(--v-theme-track));
}
.track span {
  display: block;
  height: 100%;
  background: var(--spruce);
}
.near .track span {
  background: rgb(var(--v-theme-outside));
}
.near .small {
  color: var(--outside);
  font-weight: 700;
}
</style>
