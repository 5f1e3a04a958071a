import type { EChartsCoreOption } from 'echarts/core'
import { printVswr } from '#core/quantity'
import { axis, baseOption, escapeHtml, roundStep } from './axes'
import { type ChartPalette, FACE } from './palette'

/** A match over frequency as a line, or at single channels. */
export interface DrawnMatch {
  name: string
  here: boolean
  /** Points of a sweep, Hz and VSWR; empty where only channels were read. */
  sweep: readonly (readonly [hz: number, vswr: number])[]
  channels: readonly (readonly [hz: number, vswr: number])[]
}

export interface VswrInput {
  palette: ChartPalette
  antennas: readonly DrawnMatch[]
  /** What the label promises, Hz and VSWR; null where nothing. */
  label: { fromHz: number; toHz: number; vswr: number } | null
  usual: number
}

/** Worse matches are drawn at the top edge. */
const TOP = 6

/** VSWR over frequency: sweeps as lines, typed channels as dots, 2:1 across, the label’s range shaded. */
export function buildVswrOption({ palette, antennas, label, usual }: VswrInput): EChartsCoreOption {
  const every = antennas.flatMap(({ sweep, channels }) => [...sweep, ...channels].map(([hz]) => hz))
  const [low, high] = [Math.min(...every) / 1e6, Math.max(...every) / 1e6]
  const pad = Math.max(0.5, 0.04 * (high - low))
  const step = roundStep(high - low + 2 * pad, 6)
  return {
    ...baseOption(palette, ({ seriesName, value }) =>
      Array.isArray(value)
        ? `${escapeHtml(seriesName ?? '')}: ${printVswr((value as number[])[1]!)} at ` +
          `${(value as number[])[0]!.toFixed(3)} MHz`
        : '',
    ),
    grid: { left: 44, right: 20, top: 32, bottom: 40 },
    legend: {
      top: 0,
      right: 0,
      selectedMode: false,
      itemWidth: 16,
      itemHeight: 8,
      textStyle: { color: palette.ink2, fontFamily: FACE, fontSize: 12 },
    },
    xAxis: {
      ...axis(palette, {
        min: Math.floor((low - pad) / step) * step,
        max: Math.ceil((high + pad) / step) * step,
        interval: step,
        format: mhz => `${Number(mhz.toFixed(3))}`,
      }),
      name: 'MHz',
      nameLocation: 'middle',
      nameGap: 24,
    },
    yAxis: axis(palette, {
      name: ':1',
      lines: true,
      min: 1,
      max: TOP,
      interval: 1,
      format: value => (value === TOP ? `${TOP}+` : `${value}`),
    }),
    series: antennas.flatMap((antenna, at) => [
      sweepSeries(antenna, palette, at === 0 ? { label, usual } : null),
      channelSeries(antenna, palette),
    ]),
  }
}

const drawn = ([hz, vswr]: readonly [number, number]) => [hz / 1e6, Math.min(TOP, vswr)]

function sweepSeries(
  { name, here, sweep }: DrawnMatch,
  palette: ChartPalette,
  marks: Pick<VswrInput, 'label' | 'usual'> | null,
) {
  return {
    type: 'line',
    name,
    showSymbol: false,
    lineStyle: {
      color: here ? palette.spruce : palette.ink3,
      width: here ? 2.4 : 1.4,
      type: here ? 'solid' : 'dashed',
    },
    itemStyle: { color: here ? palette.spruce : palette.ink3 },
    data: sweep.map(drawn),
    markLine: marks
      ? {
          silent: true,
          symbol: 'none',
          lineStyle: { color: palette.ink, width: 1, type: 'solid' },
          label: {
            formatter: printVswr(marks.usual, 0),
            position: 'insideEndTop',
            color: palette.ink2,
            fontSize: 12,
          },
          data: [{ yAxis: marks.usual }],
        }
      : undefined,
    markArea: marks?.label
      ? {
          silent: true,
          itemStyle: { color: palette.insideWash, opacity: 0.7 },
          label: {
            show: true,
            position: 'insideBottom',
            color: palette.ink3,
            fontSize: 12,
            formatter: 'its label',
          },
          data: [
            [
              { xAxis: marks.label.fromHz / 1e6, yAxis: 1 },
              { xAxis: marks.label.toHz / 1e6, yAxis: marks.label.vswr },
            ],
          ],
        }
      : undefined,
  }
}

function channelSeries({ name, here, channels }: DrawnMatch, palette: ChartPalette) {
  const worst = Math.max(...channels.map(([, vswr]) => vswr))
  const worded = channels.findIndex(([, vswr]) => vswr === worst)
  return {
    type: 'scatter',
    name,
    symbol: here ? 'circle' : 'emptyCircle',
    symbolSize: here ? 11 : 8,
    itemStyle: { color: here ? palette.spruce : palette.ink3 },
    label: {
      show: here,
      position: 'top',
      color: palette.ink2,
      fontSize: 12,
      formatter: ({ dataIndex }: { dataIndex: number }) =>
        dataIndex === worded ? printVswr(channels[dataIndex]![1]) : '',
    },
    data: channels.map(drawn),
  }
}
