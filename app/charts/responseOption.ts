import type { EChartsCoreOption } from 'echarts/core'
import { printSigned } from '#core/quantity'
import { axis, baseOption } from './axes'
import { type ChartPalette, FACE, FIGURES } from './palette'

export interface ResponseInput {
  palette: ChartPalette
  /** Read points, Hz and dB against 1 kHz. */
  points: readonly (readonly [hz: number, db: number])[]
  /** De-emphasis, Hz and dB against 1 kHz. */
  ideal: readonly (readonly [hz: number, db: number])[]
}

/** Audio over frequency against 1 kHz, with the de-emphasis curve of land mobile FM beside it. */
export function buildResponseOption({ palette, points, ideal }: ResponseInput): EChartsCoreOption {
  const levels = [...points, ...ideal].map(([, db]) => db)
  const low = Math.floor((Math.min(...levels) - 1) / 5) * 5
  const high = Math.ceil((Math.max(...levels) + 1) / 5) * 5
  return {
    ...baseOption(palette, ({ value, seriesName }) =>
      Array.isArray(value)
        ? `${seriesName}: ${printSigned((value as number[])[1]!, 1)} dB at ${(value as number[])[0]} Hz`
        : '',
    ),
    grid: { left: 48, right: 20, top: 32, bottom: 30 },
    legend: {
      top: 0,
      right: 0,
      selectedMode: false,
      itemWidth: 16,
      itemHeight: 8,
      textStyle: { color: palette.ink2, fontFamily: FACE, fontSize: 12 },
    },
    xAxis: {
      type: 'log',
      min: 200,
      max: 4000,
      splitLine: { show: false },
      axisLine: { lineStyle: { color: palette.line } },
      axisLabel: {
        color: palette.ink3,
        fontFamily: FIGURES,
        fontSize: 12,
        formatter: (hz: number) => `${hz}`,
      },
    },
    yAxis: axis(palette, {
      name: 'dB',
      lines: true,
      min: low,
      max: high,
      interval: 5,
      format: db => printSigned(db, 0),
    }),
    series: [
      {
        type: 'line',
        name: '750 µs',
        showSymbol: false,
        silent: true,
        lineStyle: { color: palette.ink3, width: 1.2, type: 'dashed' },
        itemStyle: { color: palette.ink3 },
        data: ideal,
      },
      {
        type: 'line',
        name: 'as read',
        symbol: 'circle',
        symbolSize: 9,
        lineStyle: { color: palette.spruce, width: 2 },
        itemStyle: { color: palette.spruce },
        data: points,
      },
    ],
  }
}
