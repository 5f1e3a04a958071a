import type { EChartsCoreOption } from 'echarts/core'
import { printHz } from '#core/quantity'
import type { CurvePoints } from '#core/review'
import { axis, baseOption, roundStep } from './axes'
import type { ChartPalette } from './palette'

/** Deviation over time: highest and lowest swing of each moment, and the limits as lines on both sides. */
export function buildDeviationOption(input: {
  palette: ChartPalette
  curve: CurvePoints | null
  limitHz: number | null
  figures: { label: string; valueHz: number }[]
}): EChartsCoreOption {
  const { palette, curve, limitHz, figures } = input
  const finite = curve ? [...curve.y, ...curve.y2].filter(Number.isFinite).map(Math.abs) : []
  const most = Math.max(limitHz ?? 0, ...figures.map(({ valueHz }) => valueHz), ...finite, 1000)
  const step = roundStep(most * 1.1, 3)
  const top = Math.ceil((most * 1.1) / step) * step
  const seconds = curve?.x.at(-1) ?? 10
  const side = (y: Float64Array) =>
    Array.from(curve?.x ?? [], (s, i) => [s, Number.isFinite(y[i]!) ? y[i]! : null])
  const line = {
    silent: true,
    symbol: 'none',
    lineStyle: { color: palette.ink, width: 1.8, type: 'solid' as const },
    label: {
      show: true,
      position: 'insideEndTop',
      color: palette.ink,
      fontSize: 13,
      formatter: (one: { value?: number }) =>
        one.value !== undefined && one.value > 0 && limitHz !== null ? `limit ${printHz(limitHz, 2)}` : '',
    },
    data: limitHz === null ? [] : [{ yAxis: limitHz }, { yAxis: -limitHz }],
  }
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
      min: -top,
      max: top,
      interval: step,
      format: hz => (hz / 1e3).toFixed(1).replace('-', '−'),
    }),
    series: [
      {
        type: 'line',
        name: 'up',
        data: side(curve?.y ?? new Float64Array(0)),
        showSymbol: false,
        lineStyle: { color: palette.spruce, width: 1.4 },
        areaStyle: { color: palette.spruce, opacity: 0.18 },
        markLine: line,
        markArea:
          limitHz === null
            ? undefined
            : {
                silent: true,
                itemStyle: { color: palette.outsideWash, opacity: 0.5 },
                data: [
                  [{ yAxis: limitHz }, { yAxis: top }],
                  [{ yAxis: -top }, { yAxis: -limitHz }],
                ],
              },
      },
      {
        type: 'line',
        name: 'down',
        data: side(curve?.y2 ?? new Float64Array(0)),
        showSymbol: false,
        lineStyle: { color: palette.spruce, width: 1.4 },
        areaStyle: { color: palette.spruce, opacity: 0.18 },
      },
      {
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
      },
    ],
  }
}

function tip(one: { value?: unknown }): string {
  const value = Array.isArray(one.value) ? (one.value as (number | null)[]) : []
  return value.length < 2 || value[1] === null
    ? ''
    : `${Number(value[0]!.toFixed(2))} s: ${printHz(value[1])}`
}
