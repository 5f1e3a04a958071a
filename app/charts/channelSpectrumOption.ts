import type { EChartsCoreOption } from 'echarts/core'
import { printHz, printSigned } from '#core/quantity'
import type { CurvePoints } from '#core/review'
import { axis, baseOption, escapeHtml, roundStep } from './axes'
import type { ChartPalette } from './palette'

/** A stretch of the spectrum that is shaded and named, offsets from the carrier, Hz. */
export interface ShadedBand {
  fromHz: number
  toHz: number
  label: string
  tone: 'own' | 'neighbour' | 'outside' | 'close'
}

export interface ChannelSpectrumInput {
  palette: ChartPalette
  curve: CurvePoints | null
  bands: ShadedBand[]
  /** Lines marked with their names: tones and products. */
  lines: { hz: number; label: string; levelDb: number }[]
  /** Draws the lines from the bottom up: where no curve shows them. */
  upright?: boolean
  /** What the levels are relative to. */
  levelName: string
  halfWidthHz: number
}

/** A point of a curve, Hz from the carrier and dB. */
type Point = [number, number]

/** A spectrum around the carrier with shaded bands, or a comb of tones. */
export function buildChannelSpectrumOption(input: ChannelSpectrumInput): EChartsCoreOption {
  const { palette, levelName, halfWidthHz } = input
  const inside = pointsOf(input, 'y')
  const highest = pointsOf(input, 'y2')
  const { low, top } = levelsOf(input, [...inside, ...highest])
  const step = roundStep(2 * halfWidthHz, 8)
  const edge = Math.ceil(halfWidthHz / step - 0.01) * step
  return {
    ...baseOption(palette, one => tip(one, levelName)),
    grid: { left: 56, right: 24, top: 32, bottom: 30 },
    xAxis: axis(palette, {
      name: 'kHz',
      min: -edge,
      max: edge,
      interval: step,
      format: hz => printSigned(hz / 1e3, step < 1000 ? 1 : 0),
    }),
    yAxis: axis(palette, {
      name: levelName,
      lines: true,
      min: low,
      max: top,
      interval: 20,
      format: db => printSigned(db, 0),
    }),
    series: [
      highestSeries(palette, highest),
      { ...spectrumSeries(palette, inside), markArea: shaded(palette, input.bands) },
      lineSeries(input, low),
    ],
  }
}

function pointsOf({ curve, halfWidthHz }: ChannelSpectrumInput, side: 'y' | 'y2'): Point[] {
  if (!curve) return []
  return Array.from(curve.x, (hz, i): Point => [hz, curve[side][i] ?? Number.NaN]).filter(
    ([hz, db]) => Math.abs(hz) <= halfWidthHz * 1.001 && Number.isFinite(db),
  )
}

/** Ends of the axis of levels: whole tens above, twenties below, at most 120 dB. */
function levelsOf({ lines, upright }: ChannelSpectrumInput, points: readonly Point[]) {
  const levels = [
    ...points.map(([, db]) => db),
    ...lines.map(({ levelDb }) => levelDb),
    ...(upright && lines.length > 0 ? [0] : []),
  ]
  if (levels.length === 0) return { low: -100, top: 0 }
  const top = Math.ceil((Math.max(...levels) + 6) / 10) * 10
  return { low: top - 20 * Math.ceil(Math.min(120, top - Math.min(...levels) + 2) / 20), top }
}

function highestSeries(palette: ChartPalette, data: Point[]) {
  return {
    type: 'line',
    name: 'highest',
    data,
    showSymbol: false,
    silent: true,
    lineStyle: { color: palette.ink3, width: 1, opacity: 0.6 },
    z: 2,
  }
}

function spectrumSeries(palette: ChartPalette, data: Point[]) {
  return {
    type: 'line',
    name: 'spectrum',
    data,
    showSymbol: false,
    lineStyle: { color: palette.spruce, width: 1.3 },
    z: 3,
  }
}

function shaded(palette: ChartPalette, bands: readonly ShadedBand[]) {
  const fill: Record<ShadedBand['tone'], string> = {
    own: palette.insideWash,
    neighbour: palette.track,
    outside: palette.outsideWash,
    close: palette.closeWash,
  }
  return {
    silent: true,
    data: bands.map(({ fromHz, toHz, label, tone }) => [
      {
        xAxis: fromHz,
        name: label,
        itemStyle: { color: fill[tone], opacity: 0.8 },
        label: { show: label !== '', position: 'insideTop', color: palette.ink2, fontSize: 12 },
      },
      { xAxis: toHz },
    ]),
  }
}

function lineSeries({ palette, lines, upright = false }: ChannelSpectrumInput, low: number) {
  return {
    type: 'scatter',
    name: 'lines',
    symbolSize: 7,
    z: 5,
    itemStyle: { color: palette.ink },
    data: lines.map(({ hz, label, levelDb }) => ({ value: [hz, levelDb], name: label })),
    markLine: {
      silent: true,
      symbol: 'none',
      label: { show: false },
      lineStyle: { color: palette.spruce, width: 2, type: 'solid' },
      data: upright ? lines.map(({ hz, levelDb }) => [{ coord: [hz, low] }, { coord: [hz, levelDb] }]) : [],
    },
    label: {
      show: true,
      position: 'top',
      formatter: (one: { name?: string }) => one.name ?? '',
      color: palette.ink,
      fontSize: 12,
      fontWeight: 700,
    },
  }
}

function tip(one: { value?: unknown; name?: string }, levelName: string): string {
  const value = Array.isArray(one.value) ? (one.value as number[]) : []
  return value.length < 2
    ? ''
    : `${one.name ? `${escapeHtml(one.name)}<br>` : ''}${printHz(value[0]!, 4)}, ` +
        `${printSigned(value[1]!, 1)} ${levelName}`
}
