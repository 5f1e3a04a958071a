import type { EChartsCoreOption } from 'echarts/core'
import { axis, baseOption } from './axes'
import type { ChartPalette } from './palette'

/** A rejection at an offset, dB; a lower bound where the generator’s own noise ended it. */
export interface DrawnRejection {
  /** Offset in the unit of the axis. */
  offset: number
  ratioDb: number
  rangeDb: number
  isLowerBound: boolean
  name: string
}

export interface RejectionInput {
  palette: ChartPalette
  unit: 'kHz' | 'MHz'
  rejections: readonly DrawnRejection[]
  /** What cannot be seen past, by offset, dB. */
  ceiling: readonly { offset: number; ceilingDb: number }[]
  limits: readonly { title: string; db: number }[]
  /** Furthest offset that is drawn. */
  furthest: number
}

/** A “V” of the channel: how strong another may be at each offset, with what the generator hides shaded above. */
export function buildRejectionOption(input: RejectionInput): EChartsCoreOption {
  const { palette, unit, rejections, ceiling, limits, furthest } = input
  const most = Math.max(
    60,
    ...rejections.map(({ ratioDb }) => ratioDb),
    ...limits.map(({ db }) => db),
    ...ceiling.map(({ ceilingDb }) => ceilingDb),
  )
  const top = Math.ceil((most + 8) / 20) * 20
  return {
    ...baseOption(palette, ({ name, value }) =>
      Array.isArray(value) ? `${name}: ${(value as number[])[1]!.toFixed(1)} dB` : '',
    ),
    grid: { left: 48, right: 20, top: 28, bottom: 40 },
    xAxis: {
      ...axis(palette, {
        min: -furthest,
        max: furthest,
        format: value => (value > 0 ? `+${value}` : `${value}`.replace('-', '−')),
      }),
      name: `${unit} from the channel`,
      nameLocation: 'middle',
      nameGap: 24,
    },
    yAxis: axis(palette, { name: 'dB', lines: true, min: 0, max: top, interval: 20 }),
    series: [
      hidden(palette, ceiling, top),
      veeOf(palette, rejections),
      ...rejections.map(whisker(palette)),
      markers(palette, rejections, false),
      markers(palette, rejections, true),
      limitSeries(palette, limits),
    ],
  }
}

/** What no measurement with this generator can see. */
function hidden(palette: ChartPalette, ceiling: RejectionInput['ceiling'], top: number) {
  const sorted = [...ceiling].sort((a, b) => a.offset - b.offset)
  return {
    type: 'line',
    name: 'hidden by the generator’s noise',
    silent: true,
    showSymbol: false,
    lineStyle: { color: palette.notCovered, width: 1, type: 'dashed' },
    areaStyle: { color: palette.notCovered, opacity: 0.16, origin: top },
    data: sorted.map(({ offset, ceilingDb }) => [offset, Math.min(top, ceilingDb)]),
  }
}

function veeOf(palette: ChartPalette, rejections: readonly DrawnRejection[]) {
  const sorted = [...rejections].sort((a, b) => a.offset - b.offset)
  const below = sorted.filter(({ offset }) => offset < 0)
  const above = sorted.filter(({ offset }) => offset > 0)
  const at = ({ offset, ratioDb }: DrawnRejection) => [offset, ratioDb]
  return {
    type: 'line',
    name: 'rejection',
    silent: true,
    showSymbol: false,
    lineStyle: { color: palette.spruce, width: 2 },
    data: [...below.map(at), [0, 0], ...above.map(at)],
  }
}

function whisker(palette: ChartPalette) {
  return ({ offset, ratioDb, rangeDb }: DrawnRejection) => ({
    type: 'line',
    name: 'whisker',
    silent: true,
    showSymbol: false,
    lineStyle: { color: palette.spruce, width: 1.5 },
    data: [
      [offset, Math.max(0, ratioDb - rangeDb)],
      [offset, ratioDb + rangeDb],
    ],
  })
}

function markers(palette: ChartPalette, rejections: readonly DrawnRejection[], bounds: boolean) {
  return {
    type: 'scatter',
    name: bounds ? 'at least' : 'found',
    symbol: bounds ? 'arrow' : 'circle',
    symbolSize: bounds ? 16 : 11,
    itemStyle: { color: bounds ? palette.notCovered : palette.spruce },
    label: {
      show: true,
      position: 'right',
      distance: 12,
      color: palette.ink,
      fontSize: 13,
      fontWeight: 'bold',
      formatter: ({ value }: { value: number[] }) => `${bounds ? '≥ ' : ''}${value[1]!.toFixed(0)}`,
    },
    data: rejections
      .filter(({ isLowerBound }) => isLowerBound === bounds)
      .map(({ offset, ratioDb, name }) => ({ name, value: [offset, ratioDb] })),
  }
}

function limitSeries(palette: ChartPalette, limits: RejectionInput['limits']) {
  return {
    type: 'line',
    name: 'limits',
    silent: true,
    data: [],
    markLine: {
      silent: true,
      symbol: 'none',
      lineStyle: { color: palette.ink, width: 1.6, type: 'solid' },
      label: {
        position: 'insideStartTop',
        color: palette.ink,
        fontSize: 12,
        formatter: (one: { name?: string }) => one.name ?? '',
      },
      data: limits.map(({ title, db }) => ({ yAxis: db, name: title })),
    },
  }
}
