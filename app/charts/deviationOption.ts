import type { EChartsCoreOption } from 'echarts/core'
import { printHz } from '#core/quantity'
import type { CurvePoints } from '#core/review'
import { axis, baseOption, roundStep } from './axes'
import type { ChartPalette } from './palette'

export interface DeviationInput {
  palette: ChartPalette
  curve: CurvePoints | null
  limitHz: number | null
  figures: { label: string; valueHz: number }[]
}

/** Deviation over time: highest and lowest swing of each moment, and the limits as lines on both sides. */
export function buildDeviationOption(input: DeviationInput): EChartsCoreOption {
  const { palette, curve, limitHz } = input
  const most = 1.1 * mostOf(input)
  const step = roundStep(most, 3)
  const topHz = Math.ceil(most / step) * step
  const seconds = curve?.x.at(-1) ?? 10
  return {
    ...baseOption(palette, one => tip(one)),
    grid: { left: 56, right: 20, top: 32, bottom: 30 },
    xAxis: axis(palette, {
      name: 's',
      min: 0,
      max: Math.max(0.1, Number(seconds.toFixed(1))),
      format: s => String(Number(s.toFixed(2))),
    }),
    yAxis: axis(palette, {
      name: 'kHz',
      lines: true,
      min: -topHz,
      max: topHz,
      interval: step,
      format: hz => (hz / 1e3).toFixed(1).replace('-', '−'),
    }),
    series: [
      {
        ...swingSeries(palette, 'up', sideOf(curve, 'y')),
        markLine: limitLines(palette, limitHz),
        markArea: limitHz === null ? undefined : beyond(palette, limitHz, topHz),
      },
      swingSeries(palette, 'down', sideOf(curve, 'y2')),
      figureSeries(input),
    ],
  }
}

/** The furthest swing that is shown, Hz. */
function mostOf({ curve, limitHz, figures }: DeviationInput): number {
  const swings = curve ? [...curve.y, ...curve.y2].filter(Number.isFinite).map(Math.abs) : []
  return Math.max(limitHz ?? 0, ...figures.map(({ valueHz }) => valueHz), ...swings, 1000)
}

function sideOf(curve: CurvePoints | null, side: 'y' | 'y2'): [number, number | null][] {
  if (!curve) return []
  return Array.from(curve.x, (s, i) => [s, Number.isFinite(curve[side][i]!) ? curve[side][i]! : null])
}

function swingSeries(palette: ChartPalette, name: 'up' | 'down', data: [number, number | null][]) {
  return {
    type: 'line',
    name,
    data,
    showSymbol: false,
    lineStyle: { color: palette.spruce, width: 1.4 },
    areaStyle: { color: palette.spruce, opacity: 0.18 },
  }
}

/** Both limits, the word for them under the lower one: the figures’ own lines are drawn above the middle. */
function limitLines(palette: ChartPalette, limitHz: number | null) {
  return {
    silent: true,
    symbol: 'none',
    lineStyle: { color: palette.ink, width: 1.8, type: 'solid' as const },
    label: {
      show: true,
      position: 'insideEndBottom',
      color: palette.ink,
      fontSize: 13,
      formatter: (one: { value?: number }) =>
        one.value !== undefined && one.value < 0 && limitHz !== null ? `limit ${printHz(limitHz, 2)}` : '',
    },
    data: limitHz === null ? [] : [{ yAxis: limitHz }, { yAxis: -limitHz }],
  }
}

function beyond(palette: ChartPalette, limitHz: number, topHz: number) {
  return {
    silent: true,
    itemStyle: { color: palette.outsideWash, opacity: 0.5 },
    data: [
      [{ yAxis: limitHz }, { yAxis: topHz }],
      [{ yAxis: -topHz }, { yAxis: -limitHz }],
    ],
  }
}

function figureSeries({ palette, figures }: DeviationInput) {
  return {
    type: 'line',
    name: 'figures',
    silent: true,
    data: [],
    markLine: {
      silent: true,
      symbol: 'none',
      lineStyle: { color: palette.ink3, width: 1, type: 'dashed' },
      label: {
        position: 'insideStartTop',
        color: palette.ink2,
        fontSize: 12,
        formatter: (one: { name?: string }) => one.name ?? '',
      },
      data: figures.map(({ label, valueHz }) => ({
        yAxis: valueHz,
        name: `${label}: ${printHz(valueHz)}`,
      })),
    },
  }
}

function tip(one: { value?: unknown }): string {
  const value = Array.isArray(one.value) ? (one.value as (number | null)[]) : []
  return value.length < 2 || value[1] === null
    ? ''
    : `${Number(value[0]!.toFixed(2))} s: ${printHz(value[1])}`
}
