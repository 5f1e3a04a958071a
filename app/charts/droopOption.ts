import type { EChartsCoreOption } from 'echarts/core'
import { printDb, printWatts, wattsFromDbm } from '#core/quantity'
import type { Droop } from '#core/station'
import { axis, baseOption, roundStep } from './axes'
import type { ChartPalette } from './palette'

export interface DroopInput {
  palette: ChartPalette
  droop: Droop | null
  claimW: number | null
  usualDb: number
}

/** Power over time: the log, the claim as a thin line, the usual droop as a band under the first moment. */
export function buildDroopOption(input: DroopInput): EChartsCoreOption {
  const { palette, droop, claimW, usualDb } = input
  const points = (droop?.points ?? []).map(({ atS, levelDbm }) => [atS, wattsFromDbm(levelDbm)] as const)
  const firstW = points[0]?.[1]
  return {
    ...baseOption(palette, one => tip(one)),
    grid: { left: 56, right: 74, top: 32, bottom: 30 },
    xAxis: axis(palette, {
      min: 0,
      max: 300,
      interval: 60,
      format: s => `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`,
    }),
    yAxis: powerAxis(palette, [...points.map(([, watts]) => watts), ...(claimW === null ? [] : [claimW])]),
    series: [
      {
        type: 'line',
        name: 'power',
        data: points,
        symbol: 'circle',
        symbolSize: 7,
        lineStyle: { color: palette.spruce, width: 2.4 },
        itemStyle: { color: palette.spruce },
        endLabel: {
          show: droop !== null,
          formatter: () => (droop ? printDb(droop.droopDb, 2).replace('-', '−') : ''),
          color: palette.ink,
          fontSize: 13,
          fontWeight: 700,
        },
        markLine: claimW === null ? undefined : claimLine(palette, claimW),
        markArea: firstW === undefined ? undefined : usualBand(palette, firstW, usualDb),
      },
    ],
  }
}

function powerAxis(palette: ChartPalette, watts: readonly number[]) {
  const top = watts.length > 0 ? Math.max(...watts) : 5
  const low = watts.length > 0 ? Math.min(...watts) : 0
  const pad = Math.max(0.04 * top, 0.15 * (top - low))
  const step = roundStep(top - low + 2 * pad, 5)
  const decimals = Math.max(0, Math.min(3, -Math.floor(Math.log10(step) + 1e-9)))
  return axis(palette, {
    name: 'W',
    lines: true,
    min: Math.max(0, Math.floor((low - pad) / step) * step),
    max: Math.ceil((top + pad) / step) * step,
    interval: step,
    format: w => w.toFixed(decimals),
  })
}

function claimLine(palette: ChartPalette, claimW: number) {
  return {
    silent: true,
    symbol: 'none',
    lineStyle: { color: palette.ink, width: 1.2, type: 'solid' },
    label: {
      formatter: `claim ${printWatts(claimW)}`,
      position: 'insideMiddleTop',
      color: palette.ink2,
      fontSize: 12,
    },
    data: [{ yAxis: claimW }],
  }
}

function usualBand(palette: ChartPalette, firstW: number, usualDb: number) {
  return {
    silent: true,
    itemStyle: { color: palette.insideWash, opacity: 0.7 },
    label: {
      show: true,
      position: 'insideBottomRight',
      color: palette.ink3,
      fontSize: 12,
      formatter: `usual: ${usualDb} dB`,
    },
    data: [[{ yAxis: firstW * 10 ** (-usualDb / 10) }, { yAxis: firstW }]],
  }
}

function tip(one: { value?: unknown }): string {
  const value = Array.isArray(one.value) ? (one.value as number[]) : []
  return value.length < 2 ? '' : `${value[0]} s: ${printWatts(value[1])}`
}
