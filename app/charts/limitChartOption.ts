import type { EChartsCoreOption } from 'echarts/core'
import { printDbm, printFrequencyShort, printSigned } from '#core/quantity'
import type { LimitCurve } from '#core/rules'
import { type ChartPalette, FACE, FIGURES } from './palette'

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
  const { palette, curves, carrierHz, carrierDbm } = input
  const levels = curves.flatMap(curve =>
    curve.points.flatMap(({ limitDbm }) => (limitDbm === null ? [] : [limitDbm])),
  )
  const lowest = Math.floor((Math.min(...levels, -20) - 5) / 20) * 20
  const highest = Math.ceil((carrierDbm + 3) / 20) * 20
  const colours = [
    palette.ink,
    palette.spruce,
    palette.outside,
    palette.close,
    palette.inside,
    palette.notCovered,
  ]
  const drawn = curves.filter(curve => curve.points.some(({ limitDbm }) => limitDbm !== null))
  return {
    animation: false,
    textStyle: { fontFamily: FACE, color: palette.ink2 },
    grid: { left: 52, right: 20, top: 14, bottom: 54 },
    legend: {
      bottom: 0,
      left: 40,
      itemWidth: 30,
      itemHeight: 8,
      itemStyle: { opacity: 0 },
      textStyle: { color: palette.ink, fontFamily: FACE, fontSize: 13 },
      data: drawn.map(curve => curve.rulebook.title),
    },
    tooltip: {
      trigger: 'axis',
      confine: true,
      backgroundColor: palette.sheet,
      borderColor: palette.line,
      textStyle: { color: palette.ink, fontFamily: FACE, fontSize: 13 },
      formatter: (lines: unknown) => tooltip(lines as TooltipLine[]),
    },
    xAxis: {
      type: 'log',
      logBase: 10,
      min: Math.min(...curves.flatMap(({ points }) => points[0]?.frequencyHz ?? []), carrierHz) / 1e6,
      max: Math.max(...curves.flatMap(({ points }) => points.at(-1)?.frequencyHz ?? []), carrierHz * 2) / 1e6,
      axisLine: { onZero: false, lineStyle: { color: palette.line } },
      axisTick: { show: false },
      splitLine: { show: true, lineStyle: { color: palette.line, opacity: 0.6 } },
      axisLabel: {
        color: palette.ink3,
        fontFamily: FIGURES,
        fontSize: 12,
        hideOverlap: true,
        formatter: (mhz: number) => printFrequencyShort(Math.round(mhz * 1e6)),
      },
    },
    yAxis: {
      type: 'value',
      min: lowest,
      max: highest,
      interval: 20,
      axisLine: { show: false },
      axisTick: { show: false },
      axisLabel: {
        color: palette.ink3,
        fontFamily: FIGURES,
        fontSize: 12,
        formatter: (dbm: number) => printSigned(dbm, 0),
      },
      splitLine: { lineStyle: { color: palette.line } },
    },
    series: [
      ...drawn.map((curve, index) => ({
        type: 'line',
        name: curve.rulebook.title,
        showSymbol: false,
        symbol: 'none',
        connectNulls: false,
        lineStyle: { color: colours[index % colours.length], width: 2, type: DASHES[index % DASHES.length] },
        itemStyle: { color: colours[index % colours.length] },
        data: curve.points.map(({ frequencyHz, limitDbm }) => [frequencyHz / 1e6, limitDbm]),
      })),
      {
        type: 'line',
        name: 'carrier',
        silent: true,
        showSymbol: false,
        lineStyle: { color: palette.ink3, width: 3 },
        data: [
          [carrierHz / 1e6, lowest],
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
      },
    ],
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

/** The tooltip takes HTML; titles come from data. */
function escapeHtml(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')
}
