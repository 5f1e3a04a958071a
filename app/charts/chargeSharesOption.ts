import type { EChartsCoreOption } from 'echarts/core'
import { printAmperes } from '#core/quantity'
import { axis, baseOption, roundStep } from './axes'
import { type ChartPalette, FACE } from './palette'

/** Mean current of one duty by state, A. */
export interface DrawnDuty {
  title: string
  transmitA: number
  audioA: number
  waitsA: number
  meanA: number
}

const STATES = [
  { name: 'transmitting', of: ({ transmitA }: DrawnDuty) => transmitA, opacity: 1 },
  { name: 'receiving', of: ({ audioA }: DrawnDuty) => audioA, opacity: 0.55 },
  { name: 'waiting', of: ({ waitsA }: DrawnDuty) => waitsA, opacity: 0.25 },
]

/** Where the charge goes: the mean current of each duty, one bar each, by what it is spent on. */
export function buildChargeSharesOption({
  palette,
  duties,
}: {
  palette: ChartPalette
  duties: readonly DrawnDuty[]
}): EChartsCoreOption {
  const most = Math.max(0, ...duties.map(({ meanA }) => meanA)) * 1000
  const step = roundStep(most, 5)
  return {
    ...baseOption(palette, ({ name, seriesName, value }) =>
      typeof value === 'number' ? `${name}: ${printAmperes(value / 1000)} ${seriesName}` : '',
    ),
    grid: { left: 92, right: 84, top: 30, bottom: 30 },
    legend: {
      top: 0,
      right: 0,
      selectedMode: false,
      itemWidth: 14,
      itemHeight: 10,
      textStyle: { color: palette.ink2, fontFamily: FACE, fontSize: 12 },
    },
    xAxis: axis(palette, {
      name: 'mA',
      min: 0,
      max: Math.ceil(most / step) * step,
      interval: step,
      lines: true,
      format: value => `${value}`,
    }),
    yAxis: {
      type: 'category',
      inverse: true,
      data: duties.map(({ title }) => title),
      axisTick: { show: false },
      axisLine: { lineStyle: { color: palette.line } },
      axisLabel: { color: palette.ink2, fontSize: 12, width: 84, overflow: 'break' },
    },
    series: STATES.map(({ name, of: amperes, opacity }, at) => ({
      type: 'bar',
      stack: 'charge',
      name,
      barMaxWidth: 26,
      itemStyle: { color: palette.spruce, opacity, borderColor: palette.sheet, borderWidth: 1 },
      data: duties.map(duty => 1000 * amperes(duty)),
      label:
        at === STATES.length - 1
          ? {
              show: true,
              opacity: 1,
              position: 'right',
              color: palette.ink,
              fontWeight: 700,
              formatter: ({ dataIndex }: { dataIndex: number }) => printAmperes(duties[dataIndex]!.meanA),
            }
          : { show: false },
    })),
  }
}
