import type { EChartsCoreOption } from 'echarts/core'
import type { Survival } from '#core/station'
import { axis, baseOption } from './axes'
import type { ChartPalette } from './palette'

const minus = (value: number) => `${Number(value.toFixed(1))}`.replace('-', '−')

/** Each reading of the 12 dB level before and after strong signals, with their means. */
export function buildSurvivalOption({
  palette,
  survival,
}: {
  palette: ChartPalette
  survival: Pick<Survival, 'before' | 'after' | 'isChanged'>
}): EChartsCoreOption {
  const { before, after, isChanged } = survival
  const levels = [...before, ...after]
  const colour = isChanged ? palette.outside : palette.spruce
  return {
    ...baseOption(palette, ({ value }) =>
      Array.isArray(value) ? `${minus((value as number[])[1]!)} dBm` : '',
    ),
    grid: { left: 56, right: 16, top: 24, bottom: 28 },
    xAxis: {
      type: 'category',
      data: ['before', 'after'],
      axisTick: { show: false },
      axisLine: { lineStyle: { color: palette.line } },
      axisLabel: { color: palette.ink2, fontSize: 13 },
    },
    yAxis: axis(palette, {
      name: 'dBm',
      lines: true,
      min: Math.floor(Math.min(...levels) - 1),
      max: Math.ceil(Math.max(...levels) + 1),
      format: minus,
    }),
    series: [
      {
        type: 'scatter',
        symbolSize: 10,
        itemStyle: { color: palette.spruce },
        data: [...before.map(level => [0, level]), ...after.map(level => [1, level])],
      },
      {
        type: 'line',
        silent: true,
        symbol: 'rect',
        symbolSize: [60, 3],
        lineStyle: { color: colour, width: 2, type: 'dashed' },
        itemStyle: { color: colour },
        data: [
          [0, mean(before)],
          [1, mean(after)],
        ],
      },
    ],
  }
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length
}
