import type { EChartsCoreOption } from 'echarts/core'
import type { BandPoint } from '#core/hearing'
import { axis, baseOption } from './axes'
import type { ChartPalette } from './palette'

/** A point of the curve: level at the socket, dBm, what was read, dB, and ± of it. */
export interface DrawnPoint {
  levelDbm: number
  sinadDb: number
  rangeDb: number
  name: string
}

export interface SinadCurveInput {
  palette: ChartPalette
  /** `SINAD` or `(S+N)/N`. */
  figure: string
  band: readonly BandPoint[]
  points: readonly DrawnPoint[]
  markDb: number
  markTitle: string
  /** Where the mark is reached, with its 95 % range; null before it is. */
  found: { levelDbm: number; lowDbm: number; highDbm: number; words: string; colour: string } | null
  /** Level to set next, at the socket, with what is expected there; null where nothing is. */
  next: { levelDbm: number; sinadDb: number | null } | null
  fromDbm: number
  toDbm: number
}

const TOP_DB = 40

/** SINAD against level: points, the curve with its 95 % band, the mark, where it is reached, what comes next. */
export function buildSinadCurveOption(input: SinadCurveInput): EChartsCoreOption {
  const { palette, figure, fromDbm, toDbm } = input
  return {
    ...baseOption(palette, ({ name, value }) => tip(name ?? '', value)),
    grid: { left: 44, right: 16, top: 28, bottom: 40 },
    xAxis: {
      ...axis(palette, { min: fromDbm, max: toDbm, interval: 5, format: dbm => `${dbm}`.replace('-', '−') }),
      name: 'dBm at the socket',
      nameLocation: 'middle',
      nameGap: 24,
    },
    yAxis: axis(palette, {
      name: `${figure}, dB`,
      lines: true,
      min: 0,
      max: TOP_DB,
      interval: 10,
    }),
    series: [...bandSeries(input), curveSeries(input), ...scatterSeries(input), rangeSeries(input)],
  }
}

function tip(name: string, value: unknown): string {
  if (!Array.isArray(value)) return ''
  const [levelDbm, sinadDb] = value as number[]
  return `${name}: ${sinadDb!.toFixed(1)} dB at ${levelDbm!.toFixed(1).replace('-', '−')} dBm`
}

const clipped = (db: number) => Math.max(0, Math.min(TOP_DB, db))

/** The band as two stacked lines, the upper one filled down to the lower. */
function bandSeries({ palette, band }: SinadCurveInput) {
  const line = (name: string, data: number[][], fill: boolean) => ({
    type: 'line',
    name,
    stack: 'band',
    silent: true,
    showSymbol: false,
    lineStyle: { opacity: 0 },
    areaStyle: fill ? { color: palette.spruce, opacity: 0.18 } : undefined,
    data,
  })
  return [
    line(
      'low',
      band.map(({ levelDbm, lowDb }) => [levelDbm, clipped(lowDb)]),
      false,
    ),
    line(
      'high',
      band.map(({ levelDbm, lowDb, highDb }) => [levelDbm, clipped(highDb) - clipped(lowDb)]),
      true,
    ),
  ]
}

function curveSeries({ palette, band, markDb, markTitle }: SinadCurveInput) {
  return {
    type: 'line',
    name: 'curve',
    silent: true,
    showSymbol: false,
    lineStyle: { color: palette.spruce, width: 2 },
    data: band.map(({ levelDbm, middleDb }) => [levelDbm, clipped(middleDb)]),
    markLine: {
      silent: true,
      symbol: 'none',
      lineStyle: { color: palette.ink, width: 1, type: 'dashed' },
      label: {
        position: 'insideEndTop',
        color: palette.ink2,
        fontSize: 12,
        formatter: markTitle,
      },
      data: [{ yAxis: markDb }],
    },
  }
}

function scatterSeries({ palette, points, next, markDb }: SinadCurveInput) {
  return [
    {
      type: 'scatter',
      name: 'points',
      symbolSize: 10,
      itemStyle: { color: palette.spruce },
      data: points.map(({ levelDbm, sinadDb, name }) => ({ name, value: [levelDbm, clipped(sinadDb)] })),
    },
    ...points.map(({ levelDbm, sinadDb, rangeDb }) => ({
      type: 'line',
      name: 'whisker',
      silent: true,
      showSymbol: false,
      lineStyle: { color: palette.spruce, width: 1.5 },
      data: [
        [levelDbm, clipped(sinadDb - rangeDb)],
        [levelDbm, clipped(sinadDb + rangeDb)],
      ],
    })),
    {
      type: 'scatter',
      name: 'next',
      symbolSize: 16,
      silent: true,
      itemStyle: { color: 'transparent', borderColor: palette.close, borderWidth: 2.5 },
      data: next ? [[next.levelDbm, clipped(next.sinadDb ?? markDb)]] : [],
    },
  ]
}

/** Where the mark is reached, as a bar over its range under the curve. */
function rangeSeries({ found, palette }: SinadCurveInput) {
  const at = 3
  return {
    type: 'line',
    name: 'found',
    silent: true,
    symbol: 'rect',
    symbolSize: [2, 14],
    showSymbol: true,
    lineStyle: { color: found?.colour ?? palette.ink, width: 3 },
    itemStyle: { color: found?.colour ?? palette.ink },
    data: found
      ? [
          [found.lowDbm, at],
          [found.levelDbm, at],
          [found.highDbm, at],
        ]
      : [],
    endLabel: {
      show: true,
      color: found?.colour ?? palette.ink,
      fontSize: 13,
      fontWeight: 'bold',
      formatter: () => found?.words ?? '',
    },
  }
}
