import { line } from 'd3-shape'
import { round, svg, type SvgNode, verdictInk } from '../svg'
import type { Laid } from './drawChart'
import type { PlotPoint, PlotSeries } from './model'
import { seriesStyle, type SeriesStyle } from './seriesStyle'

/** One radio’s figures: a line, points with their ranges, or stems from the foot of the plot. */
export function seriesDrawing(series: PlotSeries, index: number, laid: Laid): SvgNode[] {
  const style = seriesStyle(index, laid.inks)
  const count = laid.plot.series.filter(({ shape }) => shape !== 'line').length
  const beside = series.shape === 'line' || laid.x.step === 0 ? 0 : asideOf(index, count, laid)
  return series.shape === 'line'
    ? [lineDrawing(series.points, style, laid)]
    : series.points.flatMap(point => pointDrawing(point, { series, style, beside }, laid))
}

/** Radios of one name stand beside each other. */
function asideOf(index: number, count: number, { x }: Laid): number {
  const room = Math.min(x.step * 0.7, x.step)
  return count < 2 ? 0 : (index - (count - 1) / 2) * (room / count)
}

function lineDrawing(points: readonly PlotPoint[], { colour, dash }: SeriesStyle, laid: Laid): SvgNode {
  const { x, y, size, top, bottom } = laid
  const within = (value: number) => Math.min(bottom, Math.max(top, y.place(value)))
  const path = line<PlotPoint>()
    .x(point => round(x.place(point.x)))
    .y(point => round(within(point.y)))(points)
  return svg('path', {
    ...{ d: path ?? 'M0 0', fill: 'none', stroke: colour, 'stroke-width': round(size / 5) },
    'stroke-linejoin': 'round',
    ...(dash(size) === '' ? {} : { 'stroke-dasharray': dash(size) }),
  })
}

interface PointOf {
  series: PlotSeries
  style: SeriesStyle
  beside: number
}

function pointDrawing(point: PlotPoint, { series, style, beside }: PointOf, laid: Laid): SvgNode[] {
  const { x, y, size, top, bottom, inks } = laid
  const within = (value: number) => Math.min(bottom, Math.max(top, y.place(value)))
  const [at, level] = [round(x.place(point.x) + beside), round(within(point.y))]
  const drawn: SvgNode[] = []
  if (series.shape === 'stems')
    drawn.push(
      svg('path', {
        d: `M${at} ${round(bottom)}V${level}`,
        stroke: style.colour,
        'stroke-width': round(size / 2.6),
      }),
    )
  if (point.low !== undefined && point.high !== undefined && point.bound === undefined) {
    const [low, high] = [round(within(point.low)), round(within(point.high))]
    const end = round(size * 0.28)
    drawn.push(
      svg('path', {
        d: `M${at} ${low}V${high}M${round(at - end)} ${low}h${2 * end}M${round(at - end)} ${high}h${2 * end}`,
        ...{ stroke: inks.ink, fill: 'none', 'stroke-width': round(size / 9) },
      }),
    )
  }
  if (point.bound) drawn.push(arrow(point.bound, { at, level, size }, inks.notCovered))
  else if (series.shape === 'points' || isBad(point))
    drawn.push(
      shapeOf(
        isBad(point) ? { ...style, colour: verdictInk(inks, point.state!) } : style,
        { at, level, size },
        inks.sheet,
      ),
    )
  return drawn
}

const isBad = ({ state }: PlotPoint) => state === 'outside' || state === 'too-close'

/** It is only known to lie on one side. */
function arrow(
  bound: 'below' | 'above',
  { at, level, size }: { at: number; level: number; size: number },
  colour: string,
): SvgNode {
  const way = bound === 'below' ? 1 : -1
  const [long, tip] = [round(way * size * 0.9), round(way * size * 0.35)]
  const wing = round(size * 0.3)
  return svg('path', {
    d:
      `M${round(at - wing)} ${level}h${2 * wing}M${at} ${level}v${long}m${-wing} ${-tip}l${wing} ` +
      `${tip}l${wing} ${-tip}`,
    ...{ stroke: colour, fill: 'none', 'stroke-width': round(size / 8) },
  })
}

function shapeOf(
  { colour, shape }: SeriesStyle,
  { at, level, size }: { at: number; level: number; size: number },
  edge: string,
): SvgNode {
  const half = round(size * 0.36)
  const common = { fill: colour, stroke: edge, 'stroke-width': round(size / 12) }
  switch (shape) {
    case 'circle':
      return svg('circle', { cx: at, cy: level, r: half, ...common })
    case 'square':
      return svg('rect', { x: at - half, y: level - half, width: 2 * half, height: 2 * half, ...common })
    case 'diamond':
      return svg('path', {
        d: `M${at} ${level - half}l${half} ${half}l${-half} ${half}l${-half} ${-half}Z`,
        ...common,
      })
  }
}
