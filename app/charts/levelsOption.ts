import type { EChartsCoreOption } from 'echarts/core'
import { printSigned } from '#core/quantity'
import { axis, baseOption, escapeHtml, roundStep } from './axes'
import { type ChartPalette, FACE } from './palette'

/** A radio, and what was read of it at each place. */
interface RadioLevels {
  name: string
  /** The one in hand. */
  here: boolean
  values: (number | null)[]
}

export interface LevelsInput {
  palette: ChartPalette
  places: string[]
  radios: RadioLevels[]
  unit: string
  limit?: number | null
}

const SYMBOLS = ['circle', 'diamond', 'rect', 'triangle', 'roundRect', 'pin']

/**
 * Levels of several radios side by side at the same few places: the off-air comparison, or frequency errors.
 */
export function buildLevelsOption(input: LevelsInput): EChartsCoreOption {
  const { palette, places, radios, unit, limit = null } = input
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
    yAxis: levelAxis(input),
    series: radios.map((radio, i) => ({
      ...radioSeries(palette, radio, SYMBOLS[i % SYMBOLS.length]!),
      ...(i === 0 && limit !== null ? { markLine: limitLines(palette, limit) } : {}),
    })),
  }
}

/** Ends of the axis where nothing was read. */
const EMPTY: Record<'ppm' | 'level', [number, number]> = { ppm: [-2, 2], level: [-80, 0] }

function levelAxis({ palette, radios, unit, limit = null }: LevelsInput) {
  const isPpm = unit === 'ppm'
  const known = radios.flatMap(({ values }) => values.flatMap(value => value ?? []))
  const ends = limit === null ? known : [...known, limit, -limit]
  const [low, top] = ends.length > 0 ? [Math.min(...ends), Math.max(...ends)] : EMPTY[isPpm ? 'ppm' : 'level']
  const step = roundStep(Math.max(top - low, isPpm ? 1 : 10) * 1.2, 4)
  return axis(palette, {
    name: unit,
    lines: true,
    min: Math.floor((low - 0.08 * step) / step) * step,
    max: Math.ceil((top + 0.08 * step) / step) * step,
    interval: step,
    format: value => printSigned(value, step < 1 ? 1 : 0),
  })
}

function radioSeries(palette: ChartPalette, { name, here, values }: RadioLevels, symbol: string) {
  const color = here ? palette.spruce : palette.ink3
  return {
    type: 'line',
    name,
    data: values.map((value, at) => (value === null ? null : { value: [at, value] })),
    symbol,
    symbolSize: here ? 11 : 8,
    connectNulls: false,
    z: here ? 5 : 3,
    lineStyle: { color, width: here ? 2.2 : 1, type: here ? 'solid' : 'dashed' },
    itemStyle: { color },
  }
}

function limitLines(palette: ChartPalette, limit: number) {
  return {
    silent: true,
    symbol: 'none',
    lineStyle: { color: palette.ink, width: 1.6 },
    label: { formatter: 'limit', position: 'insideEndTop', color: palette.ink },
    data: [{ yAxis: limit }, { yAxis: -limit }],
  }
}

function tip(one: { value?: unknown; seriesName?: string }, unit: string): string {
  const value = Array.isArray(one.value) ? (one.value as number[]) : []
  return value.length < 2 ? '' : `${escapeHtml(one.seriesName ?? '')}: ${printSigned(value[1]!, 1)} ${unit}`
}
