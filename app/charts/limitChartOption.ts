import type { EChartsCoreOption } from 'echarts/core'
import { printDbm, printFrequencyShort, printSigned } from '#core/quantity'
import type { LimitCurve } from '#core/rules'
import { axis, baseOption, escapeHtml } from './axes'
import { type ChartPalette, FACE } from './palette'

export interface LimitChartInput {
  palette: ChartPalette
  curves: LimitCurve[]
  carrierHz: number
  carrierDbm: number
}

/** Dashes tell the curves apart where colour does not. */
const DASHES = ['solid', [7, 4], [2, 3], [10, 3, 2, 3], [14, 4], [4, 2]] as const

/** The limits of several rulebooks over frequency for one carrier, in dBm at the socket. */
export function buildLimitChartOption(input: LimitChartInput): EChartsCoreOption {
  const { palette, curves } = input
  const drawn = curves.filter(({ points }) => points.some(({ limitDbm }) => limitDbm !== null))
  const lowestDbm = lowestOf(curves)
  const base = baseOption(palette, () => '')
  return {
    ...base,
    grid: { left: 52, right: 20, top: 14, bottom: 54 },
    legend: {
      bottom: 0,
      left: 40,
      itemWidth: 30,
      itemHeight: 8,
      itemStyle: { opacity: 0 },
      textStyle: { color: palette.ink, fontFamily: FACE, fontSize: 13 },
      data: drawn.map(({ rulebook }) => rulebook.title),
    },
    tooltip: {
      ...base.tooltip,
      trigger: 'axis',
      formatter: (lines: unknown) => tooltip(lines as TooltipLine[]),
    },
    xAxis: frequencyAxis(input),
    yAxis: axis(palette, {
      lines: true,
      min: lowestDbm,
      max: Math.ceil((input.carrierDbm + 3) / 20) * 20,
      interval: 20,
      format: dbm => printSigned(dbm, 0),
    }),
    series: [
      ...drawn.map((curve, index) => curveSeries(palette, curve, index)),
      carrierSeries(input, lowestDbm),
    ],
  }
}

function lowestOf(curves: readonly LimitCurve[]): number {
  const levels = curves.flatMap(({ points }) => points.flatMap(({ limitDbm }) => limitDbm ?? []))
  return Math.floor((Math.min(...levels, -20) - 5) / 20) * 20
}

function frequencyAxis({ palette, curves, carrierHz }: LimitChartInput) {
  const ends = curves.flatMap(({ points }) => [points[0], points.at(-1)].flatMap(point => point ?? []))
  const frequencies = ends.map(({ frequencyHz }) => frequencyHz)
  return {
    ...axis(palette, {
      min: Math.min(...frequencies, carrierHz) / 1e6,
      max: Math.max(...frequencies, carrierHz * 2) / 1e6,
      format: mhz => printFrequencyShort(Math.round(mhz * 1e6)),
    }),
    type: 'log',
    logBase: 10,
    splitLine: { show: true, lineStyle: { color: palette.line, opacity: 0.6 } },
  }
}

function curveSeries(palette: ChartPalette, { rulebook, points }: LimitCurve, index: number) {
  const { ink, spruce, outside, close, inside, notCovered } = palette
  const colours = [ink, spruce, outside, close, inside, notCovered]
  const color = colours[index % colours.length]
  return {
    type: 'line',
    name: rulebook.title,
    showSymbol: false,
    symbol: 'none',
    connectNulls: false,
    lineStyle: { color, width: 2, type: DASHES[index % DASHES.length] },
    itemStyle: { color },
    data: points.map(({ frequencyHz, limitDbm }) => [frequencyHz / 1e6, limitDbm]),
  }
}

function carrierSeries({ palette, carrierHz, carrierDbm }: LimitChartInput, lowestDbm: number) {
  return {
    type: 'line',
    name: 'carrier',
    silent: true,
    showSymbol: false,
    lineStyle: { color: palette.ink3, width: 3 },
    data: [
      [carrierHz / 1e6, lowestDbm],
      [carrierHz / 1e6, carrierDbm],
    ],
    endLabel: {
      show: true,
      formatter: `carrier ${printDbm(carrierDbm)}`,
      color: palette.ink2,
      fontFamily: FACE,
      fontSize: 13,
      offset: [6, 6],
    },
  }
}

interface TooltipLine {
  seriesName?: string
  value?: unknown
}

function tooltip(lines: TooltipLine[]): string {
  const rows = lines.flatMap(({ seriesName, value }) => {
    const [mhz, dbm] = Array.isArray(value) ? (value as (number | null)[]) : []
    return seriesName === 'carrier' || typeof mhz !== 'number' || typeof dbm !== 'number'
      ? []
      : [{ mhz, text: `${escapeHtml(seriesName ?? '')}: ${printDbm(dbm, 2)}` }]
  })
  return rows.length === 0
    ? ''
    : `${printFrequencyShort(Math.round(rows[0]!.mhz * 1e6))}<br>${rows.map(({ text }) => text).join('<br>')}`
}
