import { FIGURE_FACE, TEXT_FACE } from './faces'
import { round, svg, type SvgElement } from './node'
import type { Weight } from './textWidth'

/** How and where a text stands. */
export interface TextAt {
  x: number
  /** Its base line. */
  y: number
  size: number
  fill: string
  weight?: Weight
  anchor?: 'start' | 'middle' | 'end'
  figures?: boolean
}

/** A line of text. */
export function textAt(text: string, at: TextAt): SvgElement {
  const { x, y, size, fill, weight = 400, anchor = 'start', figures = false } = at
  return svg(
    'text',
    {
      ...{ x: round(x), y: round(y), fill, 'font-size': round(size) },
      'font-family': figures ? FIGURE_FACE : TEXT_FACE,
      ...(weight === 400 ? {} : { 'font-weight': weight }),
      ...(anchor === 'start' ? {} : { 'text-anchor': anchor }),
    },
    text,
  )
}

/** Lines of text under each other. */
export function linesAt(lines: readonly string[], { lead, ...at }: TextAt & { lead: number }): SvgElement[] {
  return lines.map((line, i) => textAt(line, { ...at, y: at.y + i * lead }))
}
