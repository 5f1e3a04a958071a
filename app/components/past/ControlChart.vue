<script setup lang="ts">
import { chartState, type ControlPoint } from '#core/past'
import type { ChartPlot } from '#core/plot'

/** The control radio over time: is the bench drifting? */
const { points } = defineProps<{ points: readonly ControlPoint[] }>()

const MARKS = { 'too-few': 'observation', steady: 'inside', beyond: 'outside', shifted: 'too-close' } as const

const charts = computed(() => {
  const bySeries = new Map<string, ControlPoint[]>()
  for (const one of points) bySeries.set(one.series, [...(bySeries.get(one.series) ?? []), one])
  return [...bySeries].map(([series, own]) => {
    const sorted = own.toSorted((a, b) => a.at.localeCompare(b.at))
    return { series, state: chartState(sorted), plot: plotOf(series, sorted) }
  })
})

function plotOf(series: string, sorted: readonly ControlPoint[]): ChartPlot {
  const most = Math.max(1, ...sorted.map(({ offDb, rangeDb }) => Math.abs(offDb) + rangeDb))
  return {
    kind: 'chart',
    id: series,
    stationId: '',
    title: series,
    subtitle: 'dB off what is known of it, with 95 % ranges; the line is what is known',
    spoken: `${series}. ${sorted.map(({ at, offDb }) => `${at.slice(0, 10)}: ${offDb.toFixed(2)} dB`).join('; ')}.`,
    x: { title: '', scale: { names: sorted.map(({ at }) => at.slice(0, 10)) } },
    y: { title: 'dB', scale: 'linear', from: -1.1 * most, to: 1.1 * most, signed: true },
    series: [
      {
        name: series,
        shape: 'points',
        points: sorted.map(({ offDb, rangeDb }, x) => ({
          x,
          y: offDb,
          low: offDb - rangeDb,
          high: offDb + rangeDb,
          ...(Math.abs(offDb) > rangeDb ? { state: 'outside' as const } : {}),
        })),
      },
    ],
    marks: [{ title: '', y: 0, kind: 'criterion' }],
    shades: [],
  }
}
</script>

<template>
  <div class="stack">
    <section v-if="charts.length === 0" class="sheet part stack">
      <h2>No control radio was read yet</h2>
      <p>
        Under Bench check, a radio of which you know what it makes is read through the same chain. Done each
        time, it shows here whether the bench drifts.
      </p>
    </section>
    <section v-for="chart in charts" :key="chart.series" class="sheet part">
      <p><VerdictWord :state="MARKS[chart.state.state]" :words="chart.state.words" /></p>
      <PlotFigure :plot="chart.plot" :height="220" />
    </section>
  </div>
</template>

<style scoped>
.part {
  padding: 12px 16px;
}
</style>
