import { fitted, type Inks, movedBy, svg, type SvgElement, textAt, wrapped } from '../svg'
import { plotDrawing } from './drawPlot'
import type { Plot } from './model'

/** Shapes a picture is made in: for a video, and for a square post. */
export const PICTURE_SHAPES = {
  wide: { width: 1920, height: 1080, title: '1920 × 1080' },
  square: { width: 1080, height: 1080, title: '1080 × 1080' },
} as const
/** A shape of a picture. */
export type PictureShape = keyof typeof PICTURE_SHAPES

/** What stands under a picture. */
export interface PictureNote {
  /** Who measured, when, with what. */
  who: string
}

/** A plot as a picture of its own: title, units and conditions, the plot, and who measured. */
export function pictureOf(
  plot: Plot,
  note: PictureNote,
  { shape, inks }: { shape: PictureShape; inks: Inks },
): SvgElement {
  const { width, height } = PICTURE_SHAPES[shape]
  const [edge, size] = [width * 0.05, shape === 'wide' ? 30 : 26]
  const room = width - 2 * edge
  const under = wrapped(plot.subtitle, room, { size: size * 1.1 }).slice(0, 2)
  const top = edge + size * 2.6 + under.length * size * 1.5
  const foot = height - edge * 0.75
  return svg(
    'svg',
    { xmlns: 'http://www.w3.org/2000/svg', width, height, viewBox: `0 0 ${width} ${height}` },
    svg('title', {}, plot.title),
    svg('desc', {}, plot.spoken),
    svg('rect', { width, height, fill: inks.sheet }),
    textAt(fitted(plot.title, room, { size: size * 1.9, weight: 700 }), {
      ...{ x: edge, y: edge + size * 1.3, size: size * 1.9, weight: 700, fill: inks.ink },
    }),
    ...under.map((line, i) =>
      textAt(line, { x: edge, y: edge + size * (3 + 1.5 * i), size: size * 1.1, fill: inks.ink2 }),
    ),
    movedBy(edge, top, plotDrawing(plot, { width: room, height: foot - size * 1.8 - top, inks, size })),
    textAt(fitted(note.who, room, { size: size * 0.9 }), {
      x: edge,
      y: foot,
      size: size * 0.9,
      fill: inks.ink2,
    }),
  )
}

/** A plot as a drawing for a page, without a frame. */
export function plotFigure(
  plot: Plot,
  { width, height, inks, size = 11 }: { width: number; height: number; inks: Inks; size?: number },
): SvgElement {
  return svg(
    'svg',
    {
      ...{ xmlns: 'http://www.w3.org/2000/svg', width, height, viewBox: `0 0 ${width} ${height}` },
      ...{ role: 'img', 'aria-label': plot.spoken },
    },
    plotDrawing(plot, { width, height, inks, size }),
  )
}
