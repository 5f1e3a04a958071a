import { line } from 'd3-shape'
import {
  FIGURE_WIDTH,
  fitted,
  type Inks,
  round,
  svg,
  type SvgElement,
  type SvgNode,
  textAt,
  textWidth,
} from '../svg'
import { seriesDrawing } from './drawSeries'
import type { ChartPlot, PlotMark } from './model'
import { type LaidOut, laidOut } from './scale'
import { seriesStyle } from './seriesStyle'

/** Room a drawing has, what it is made with, and how large its text is. */
export interface DrawnIn {
  width: number
  height: number
  inks: Inks
  size: number
}

/** What a part of a chart needs to know of the whole. */
export interface Laid extends DrawnIn {
  plot: ChartPlot
  x: LaidOut
  y: LaidOut
  left: number
  right: number
  top: number
  bottom: number
}

/** A chart without its title: axes, what nothing is known of, limits, and each radio’s figures. */
export function chartDrawing(plot: ChartPlot, drawn: DrawnIn): SvgElement {
  const laid = layOut(plot, drawn)
  return svg(
    'g',
    {},
    ...shades(laid),
    ...grid(laid),
    ...namesUnder(laid),
    ...plot.marks.flatMap(mark => markDrawing(mark, laid)),
    ...plot.series.flatMap((series, i) => seriesDrawing(series, i, laid)),
    ...legend(laid),
  )
}

function layOut(plot: ChartPlot, drawn: DrawnIn): Laid {
  const { width, height, size } = drawn
  const values = plot.series.flatMap(({ points }) =>
    points.flatMap(({ y, low, high }) => [y, low ?? y, high ?? y]),
  )
  const marked = plot.marks.map(({ y }) => y)
  const top = size * (plot.series.length > 1 || plot.y.title !== '' ? 2.2 : 0.8)
  const bottom = height - size * (namesHigh(plot) + (plot.x.title === '' ? 0.6 : 1.9))
  const y = laidOut(plot.y, {
    values: [...values, ...marked],
    room: [bottom, top],
    parts: Math.max(2, Math.min(5, Math.floor((bottom - top) / (size * 1.9)))),
  })
  const widest = Math.max(...y.ticks.map(({ words }) => words.length), 1)
  const left = size * (0.6 + widest * FIGURE_WIDTH)
  const right = width - size * 0.6
  const x = laidOut(plot.x, {
    values: plot.series.flatMap(({ points }) => points.map(one => one.x)),
    room: [left, right],
    parts: Math.max(2, Math.floor((right - left) / (size * 6))),
  })
  return { ...drawn, plot, x, y, left, right, top, bottom }
}

/** Lines that what is written under the axis takes, in text sizes. */
function namesHigh({ x: { scale } }: ChartPlot): number {
  return typeof scale === 'object' && scale.names.some(name => name.includes('\n')) ? 2.5 : 1.4
}

function shades({ plot, x, y, left, right, top, bottom, inks, size }: Laid): SvgNode[] {
  return plot.shades.flatMap(({ words, fromX, toX, fromY }) => {
    const half = x.step / 2
    const from = Math.max(left, x.place(fromX) - half)
    const to = Math.min(right, x.place(toX) + half)
    const low = fromY === undefined ? bottom : Math.max(top, y.place(fromY))
    const room = to - from - size * 0.5
    return [
      svg('rect', {
        ...{ x: round(from), y: round(top), width: round(to - from), height: round(low - top) },
        fill: inks.noise,
      }),
      textAt(fitted(words, room, { size: size * 0.85 }), {
        ...{ x: (from + to) / 2, y: top + size * 1.1, size: size * 0.85, fill: inks.ink2, anchor: 'middle' },
      }),
    ]
  })
}

function grid({ plot, y, left, right, top, inks, size }: Laid): SvgNode[] {
  const lines = y.ticks.flatMap(({ value, words }) => [
    svg('path', {
      d: `M${round(left)} ${round(y.place(value))}H${round(right)}`,
      stroke: inks.line,
      'stroke-width': round(size / 12),
    }),
    textAt(words, {
      ...{ x: left - size * 0.4, y: y.place(value) + size * 0.33, size: size * 0.9, fill: inks.ink3 },
      ...{ anchor: 'end', figures: true },
    }),
  ])
  const title = textAt(plot.y.title, { x: 0, y: top - size * 0.9, size: size * 0.9, fill: inks.ink3 })
  return plot.y.title === '' ? lines : [...lines, title]
}

function namesUnder(laid: Laid): SvgNode[] {
  const { plot, x, left, right, bottom, inks, size } = laid
  const isNamed = x.step > 0
  const widest = Math.max(
    ...x.ticks.flatMap(({ words }) => words.split('\n').map(one => textWidth(one, size * 0.9))),
  )
  const every = isNamed ? Math.max(1, Math.ceil(Math.min(widest, size * 7) / x.step)) : 1
  const names = x.ticks
    .filter((_tick, i) => i % every === 0)
    .flatMap(({ value, words }) =>
      words.split('\n').map((name, i) =>
        textAt(isNamed ? fitted(name, x.step * every, { size: size * 0.9 }) : name, {
          ...{ x: x.place(value), y: bottom + size * (1.3 + 1.1 * i), size: size * 0.9, fill: inks.ink3 },
          ...{ anchor: 'middle', figures: !isNamed },
        }),
      ),
    )
  const foot = svg('path', {
    d: `M${round(left)} ${round(bottom)}H${round(right)}`,
    stroke: inks.line2,
    'stroke-width': round(size / 12),
  })
  const title = textAt(plot.x.title, {
    ...{ x: (left + right) / 2, y: bottom + size * (namesHigh(plot) + 1.1), size: size * 0.9 },
    ...{ fill: inks.ink3, anchor: 'middle' },
  })
  return plot.x.title === '' ? [foot, ...names] : [foot, ...names, title]
}

function markDrawing({ title, y: at, from, to, kind }: PlotMark, laid: Laid): SvgNode[] {
  const { x, y, left, right, inks, size } = laid
  const half = x.step / 2
  const start = from === undefined ? left : Math.max(left, x.place(from) - half)
  const end = to === undefined ? right : Math.min(right, x.place(to) + half)
  const level = y.place(at)
  const path = line<readonly [number, number]>()([
    [round(start), round(level)],
    [round(end), round(level)],
  ])
  return [
    svg('path', {
      ...{ d: path ?? 'M0 0', stroke: inks.ink, 'stroke-width': round(size / (kind === 'limit' ? 7 : 9)) },
      ...(kind === 'limit' ? {} : { 'stroke-dasharray': `${round(size * 0.4)} ${round(size * 0.25)}` }),
    }),
    ...(title === ''
      ? []
      : [
          textAt(fitted(title, right - start, { size: size * 0.85 }), {
            ...{ x: end, y: level - size * 0.3, size: size * 0.85, fill: inks.ink2, anchor: 'end' },
          }),
        ]),
  ]
}

/** Who is who, where there are several. */
function legend({ plot, right, top, inks, size }: Laid): SvgNode[] {
  if (plot.series.length < 2) return []
  const names = plot.series.map(({ name }) => fitted(name, size * 12, { size: size * 0.9 }))
  let at = right
  return names
    .map((name, i) => ({ name, i }))
    .toReversed()
    .flatMap(({ name, i }) => {
      const { colour, dash } = seriesStyle(i, inks)
      const words = textAt(name, {
        ...{ x: at, y: top - size * 0.9, size: size * 0.9, fill: inks.ink2, anchor: 'end' },
      })
      const from = at - textWidth(name, size * 0.9) - size * 2
      at = from - size
      return [
        words,
        svg('path', {
          ...{ d: `M${round(from)} ${round(top - size * 1.2)}h${round(size * 1.5)}`, stroke: colour },
          'stroke-width': round(size / 5),
          ...(dash(size) === '' ? {} : { 'stroke-dasharray': dash(size) }),
        }),
      ]
    })
}
