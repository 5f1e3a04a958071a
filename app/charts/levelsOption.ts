import type { EChartsCoreOption } from 'echarts/core'
import { printSigned } from '#core/quantity'
import { axis, baseOption, escapeHtml, roundStep } from './axes'
import { type ChartPalette, FACE } from './palette'

/**
 * Levels of several radios side by side at the same few places: the off-air comparison, or frequency errors.
 */
export function buildLevelsOption(input: {
  palette: ChartPalette
  places: string[]
  radios: { name: string; here: boolean; values: (number | null)[] }[]
  unit: string
  limit?: number | null
}): EChartsCoreOption {
  const { palette, places, radios, unit, limit = null } = input
  const known = radios.flatMap(({ values }) => values.filter((value): value is number => value !== null))
  const symbols = ['circle', 'diamond', 'rect', 'triangle', 'roundRect', 'pin']
  const bound = (side: 1 | -1) =>
    known.length === 0 && limit === null
      ? undefined
      : side * Math.max(...known.map(value => side * value), limit ?? -Infinity)
  const top = bound(1) ?? (unit === 'ppm' ? 2 : 0)
  const low = bound(-1) ?? (unit === 'ppm' ? -2 : -80)
  const step = roundStep(Math.max(top - low, unit === 'ppm' ? 1 : 10) * 1.2, 4)
  const [from, to] = [
    Math.floor((low - 0.08 * step) / step) * step,
    Math.ceil((top + 0.08 * step) / step) * step,
  ]
  return {
    ...baseOption(palette, one => tip(one, unit)),
    legend: {
      top: 0,
      right: 8,
      itemWidth: 18,
      itemHeight: 9,
      textStyle: { color: palette.ink2, fontFamily: FACE, fontSize: 12 },
      data: radios.map(({ name }) => name),
    },
    grid: { left: 60, right: 20, top: 44, bottom: 28 },
    xAxis: {
      type: 'category',
      data: places,
      axisTick: { show: false },
      axisLine: { lineStyle: { color: palette.line } },
      axisLabel: { color: palette.ink3, fontFamily: FACE, fontSize: 13 },
    },
    yAxis: axis(palette, {
      name: unit,
      lines: true,
      min: from,
      max: to,
      interval: step,
      format: value => printSigned(value, step < 1 ? 1 : 0),
    }),
    series: radios.map(({ name, here, values }, i) => ({
      type: 'line',
      name,
      data: values.map((value, at) => (value === null ? null : { value: [at, value] })),
      symbol: symbols[i % symbols.length],
      symbolSize: here ? 11 : 8,
      connectNulls: false,
      z: here ? 5 : 3,
      lineStyle: {
        color: here ? palette.spruce : palette.ink3,
        width: here ? 2.2 : 1,
        type: here ? 'solid' : 'dashed',
      },
      itemStyle: { color: here ? palette.spruce : palette.ink3 },
      ...(i === 0 && limit !== null
        ? {
            markLine: {
              silent: true,
              symbol: 'none',
              lineStyle: { color: palette.ink, width: 1.6 },
              label: { formatter: 'limit', position: 'insideEndTop', color: palette.ink },
              data: [{ yAxis: limit }, { yAxis: -limit }],
            },
          }
        : {}),
    })),
  }
}

function tip(one: { value?: unknown; seriesName?: string }, unit: string): string {
  const value = Array.isArray(one.value) ? (one.value as number[]) : []
  return value.length < 2 ? '' : `${escapeHtml(one.seriesName ?? '')}: ${printSigned(value[1]!, 1)} ${unit}`
}
