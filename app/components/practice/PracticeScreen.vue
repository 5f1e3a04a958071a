<script setup lang="ts">
import { printMhzFigure, printNumber, printSigned } from '#core/quantity'
import type { Screen } from '~/composables/usePracticeLive'

/** What an instrument of the evening shows. */
const { screen } = defineProps<{ screen: Screen }>()
const [WIDTH, HEIGHT] = [320, 150]
const [TOP_DBM, BOTTOM_DBM] = [50, -110]

const yOf = (dbm: number) =>
  Math.min(HEIGHT, Math.max(0, ((TOP_DBM - dbm) / (TOP_DBM - BOTTOM_DBM)) * HEIGHT))
const line = computed(() => {
  if (screen.is !== 'trace') return ''
  const { levelsDbm } = screen
  const step = WIDTH / (levelsDbm.length - 1)
  return Array.from(levelsDbm, (dbm, i) => `${(i * step).toFixed(1)},${yOf(dbm).toFixed(1)}`).join(' ')
})
const peaks = computed(() =>
  screen.is === 'trace'
    ? screen.peaks.map(({ hz, dbm }) => ({
        hz,
        x: (WIDTH * (hz - screen.fromHz)) / (screen.toHz - screen.fromHz),
        y: Math.max(12, yOf(dbm) - 4),
        text: printSigned(dbm, 1),
      }))
    : [],
)
const spoken = computed(() =>
  screen.is === 'trace' && screen.peaks.length > 0
    ? screen.peaks.map(({ hz, dbm }) => `${printMhzFigure(hz)} MHz ${printSigned(dbm, 1)} dBm`).join(', ')
    : 'nothing above the noise',
)
</script>

<template>
  <div class="screen" data-testid="practice-screen">
    <p v-if="screen.is === 'dark'" class="quiet">{{ screen.why }}</p>
    <p v-else-if="screen.is === 'meter'" class="figure large">{{ screen.text }}</p>
    <p v-else-if="screen.is === 'sinad'" class="figure large">
      {{ printNumber(screen.db, 1) }} <span class="unit">dB SINAD</span>
      <span v-if="screen.volts === 0" class="small quiet">nothing is heard</span>
    </p>
    <template v-else>
      <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="`Spectrum: ${spoken}`">
        <polyline :points="line" />
        <text v-for="peak in peaks" :key="peak.hz" :x="peak.x + 3" :y="peak.y">{{ peak.text }}</text>
      </svg>
      <p class="small quiet">0 to 1 GHz · 100 kHz · dBm as shown</p>
      <p class="small figure">{{ spoken }}</p>
    </template>
  </div>
</template>

<style scoped>
.screen {
  min-height: 120px;
}
.large {
  font-size: 34px;
  font-weight: 700;
}
.unit {
  font-size: 16px;
}
svg {
  width: 100%;
  background: rgba(var(--v-theme-inside-wash), 0.35);
  border: 1px solid var(--line);
}
polyline {
  fill: none;
  stroke: var(--spruce);
  stroke-width: 1;
}
text {
  font-size: 10px;
  fill: var(--ink);
}
</style>
