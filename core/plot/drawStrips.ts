import { fitted, movedBy, stripDrawing, svg, type SvgElement, textAt, verdictInk } from '../svg'
import type { DrawnIn } from './drawChart'
import type { StripRow, StripsPlot } from './model'

/** Figures one under the other: what it is, its strip, what is said of it. */
export function stripsDrawing({ rows, more }: StripsPlot, drawn: DrawnIn): SvgElement {
  const { height, inks, size } = drawn
  const shown = Math.max(1, Math.min(rows.length, Math.floor(height / (size * 2)) - 1))
  const lead = Math.min(size * 2.6, height / (shown + 1))
  const left = more + rows.length - shown
  return svg(
    'g',
    {},
    ...rows.slice(0, shown).map((row, i) => movedBy(0, (i + 0.2) * lead, rowDrawing(row, drawn))),
    ...(left > 0
      ? [textAt(`and ${left} more`, { x: 0, y: (shown + 0.7) * lead, size: size * 0.9, fill: inks.ink2 })]
      : []),
  )
}

/** Shares of the width: label, strip, words. */
const LABEL = 0.36
const STRIP = 0.26
const GAP = 0.02

function rowDrawing({ label, words, verdict }: StripRow, { width, inks, size }: DrawnIn): SvgElement {
  const face = { size: size * 0.95 }
  const from = (LABEL + STRIP + 2 * GAP) * width
  return svg(
    'g',
    {},
    textAt(fitted(label, LABEL * width, face), { x: 0, y: size * 1.1, size: face.size, fill: inks.ink }),
    ...(verdict
      ? [
          movedBy(
            (LABEL + GAP) * width,
            0,
            stripDrawing(verdict, { width: STRIP * width, height: size * 1.5, inks }),
          ),
        ]
      : []),
    textAt(fitted(words, width - from, face), {
      ...{ x: from, y: size * 1.1, size: face.size },
      fill: verdict ? verdictInk(inks, verdict.state) : inks.ink2,
    }),
  )
}
