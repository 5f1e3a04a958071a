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

/** A spectrum around the carrier with shaded bands, or a comb of tones. */
export function buildChannelSpectrumOption(input: ChannelSpectrumInput): EChartsCoreOption {
  const { palette, curve, bands, lines, levelName, halfWidthHz, upright = false } = input
  const points = (of: (i: number) => number | undefined) =>
    curve
      ? Array.from(curve.x, (hz, i) => [hz, of(i) ?? Number.NaN] as [number, number]).filter(
          ([hz, db]) => Math.abs(hz) <= halfWidthHz * 1.001 && Number.isFinite(db),
        )
      : []
  const inside = points(i => curve!.y[i])
  const highest = points(i => curve!.y2[i])
  const levels = [
    ...inside.map(([, db]) => db),
    ...highest.map(([, db]) => db),
    ...lines.map(({ levelDb }) => levelDb),
    ...(upright && lines.length > 0 ? [0] : []),
  ]
  const top = levels.length > 0 ? Math.ceil((Math.max(...levels) + 6) / 10) * 10 : 0
  const low =
    levels.length > 0 ? top - 20 * Math.ceil(Math.min(120, top - Math.min(...levels) + 2) / 20) : -100
  const step = roundStep(2 * halfWidthHz, 8)
  const edge = Math.ceil(halfWidthHz / step - 0.01) * step
  const fill: Record<ShadedBand['tone'], string> = {
    own: palette.insideWash,
    neighbour: palette.track,
    outside: palette.outsideWash,
    close: palette.closeWash,
  }
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
      {
        type: 'line',
        name: 'highest',
        data: highest,
        showSymbol: false,
        silent: true,
        lineStyle: { color: palette.ink3, width: 1, opacity: 0.6 },
        z: 2,
      },
      {
        type: 'line',
        name: 'spectrum',
        data: inside,
        showSymbol: false,
        lineStyle: { color: palette.spruce, width: 1.3 },
        z: 3,
        markArea: {
          silent: true,
          data: bands.map(band => [
            {
              xAxis: band.fromHz,
              name: band.label,
              itemStyle: { color: fill[band.tone], opacity: 0.8 },
              label: { show: band.label !== '', position: 'insideTop', color: palette.ink2, fontSize: 12 },
            },
            { xAxis: band.toHz },
          ]),
        },
      },
      {
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
          data: upright
            ? lines.map(({ hz, levelDb }) => [{ coord: [hz, low] }, { coord: [hz, levelDb] }])
            : [],
        },
        label: {
          show: true,
          position: 'top',
          formatter: (one: { name?: string }) => one.name ?? '',
          color: palette.ink,
          fontSize: 12,
          fontWeight: 700,
        },
      },
    ],
  }
}

function tip(one: { value?: unknown; name?: string }, levelName: string): string {
  const value = Array.isArray(one.value) ? (one.value as number[]) : []
  return value.length < 2
    ? ''
    : `${one.name ? `${escapeHtml(one.name)}<br>` : ''}${printHz(value[0]!, 4)}, ${printSigned(value[1]!, 1)} ${levelName}`
}
