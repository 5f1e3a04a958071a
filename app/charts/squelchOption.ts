import type { EChartsCoreOption } from 'echarts/core'
import { axis, baseOption } from './axes'
import type { ChartPalette } from './palette'

/** One round of one setting: where it opened and closed, dBm at the socket. */
export interface DrawnRound {
  title: string
  openDbm: number | null
  closeDbm: number | null
}

export interface SquelchInput {
  palette: ChartPalette
  rounds: readonly DrawnRound[]
  /** The 12 dB level, dBm; null before it is known. */
  twelveDbm: number | null
}

/** A ladder: each round a rung with its opening above and its closing below, the 12 dB level across. */
export function buildSquelchOption({ palette, rounds, twelveDbm }: SquelchInput): EChartsCoreOption {
  const levels = rounds.flatMap(({ openDbm, closeDbm }) => [openDbm, closeDbm]).concat(twelveDbm)
  const known = levels.filter((level): level is number => level !== null)
  const low = Math.floor((Math.min(...known) - 2) / 5) * 5
  const high = Math.ceil((Math.max(...known) + 2) / 5) * 5
  return {
    ...baseOption(palette, ({ name, seriesName, value }) =>
      Array.isArray(value) ? `${name}: ${seriesName} at ${minus((value as number[])[1]!)} dBm` : '',
    ),
    grid: { left: 52, right: 16, top: 28, bottom: 42 },
    xAxis: {
      type: 'category',
      data: rounds.map(({ title }) => title),
      axisTick: { show: false },
      axisLine: { lineStyle: { color: palette.line } },
      axisLabel: { color: palette.ink2, fontSize: 12, interval: 0, width: 90, overflow: 'break' },
    },
    yAxis: axis(palette, { name: 'dBm', lines: true, min: low, max: high, interval: 5, format: minus }),
    series: [
      ...rounds.map(rungOf(palette)),
      edges(palette, 'opens', { rounds, of: ({ openDbm }) => openDbm, symbol: 'triangle' }),
      edges(palette, 'closes', { rounds, of: ({ closeDbm }) => closeDbm, symbol: 'emptyTriangle' }),
      twelveLine(palette, twelveDbm),
    ],
  }
}

const minus = (value: number) => `${Number(value.toFixed(1))}`.replace('-', '−')

function rungOf(palette: ChartPalette) {
  return ({ openDbm, closeDbm }: DrawnRound, index: number) => ({
    type: 'line',
    name: 'rung',
    silent: true,
    showSymbol: false,
    lineStyle: { color: palette.spruce, width: 8, opacity: 0.25, cap: 'round' },
    data:
      openDbm === null || closeDbm === null
        ? []
        : [
            [index, openDbm],
            [index, closeDbm],
          ],
  })
}

function edges(
  palette: ChartPalette,
  name: string,
  given: { rounds: readonly DrawnRound[]; of: (round: DrawnRound) => number | null; symbol: string },
) {
  return {
    type: 'scatter',
    name,
    symbol: given.symbol,
    symbolSize: 12,
    symbolRotate: name === 'closes' ? 180 : 0,
    itemStyle: { color: palette.spruce },
    label: {
      show: true,
      position: 'right',
      color: palette.ink2,
      fontSize: 12,
      formatter: ({ value }: { value: number[] }) => minus(value[1]!),
    },
    data: given.rounds.flatMap((round, index) => {
      const level = given.of(round)
      return level === null ? [] : [{ name: round.title, value: [index, level] }]
    }),
  }
}

function twelveLine(palette: ChartPalette, twelveDbm: number | null) {
  return {
    type: 'line',
    name: '12 dB level',
    silent: true,
    data: [],
    markLine: {
      silent: true,
      symbol: 'none',
      lineStyle: { color: palette.ink, width: 1, type: 'dashed' },
      label: {
        position: 'insideEndTop',
        color: palette.ink2,
        fontSize: 12,
        formatter: 'still hears 12 dB here',
      },
      data: twelveDbm === null ? [] : [{ yAxis: twelveDbm }],
    },
  }
}
