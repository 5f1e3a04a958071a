import { stripGeometry, type Verdict } from '../decision'
import type { Inks } from './inks'
import { round, svg, type SvgElement, type SvgNode } from './node'
import { verdictInk } from './verdictInk'

/** A margin strip: the allowed side, the other one hatched, ticks, the limit, and the mark with its range. */
export function stripDrawing(
  verdict: Verdict,
  { width, height, inks }: { width: number; height: number; inks: Inks },
): SvgElement {
  const geometry = stripGeometry(verdict)
  const x = (share: number) => round(share * width)
  const limit = x(geometry.limitAt)
  const [top, bar, middle] = [height * 0.25, height * 0.5, height / 2]
  const colour = verdictInk(inks, verdict.state)
  const marks: SvgNode[] = []
  if (geometry.whisker) {
    const [from, to] = [x(geometry.whisker.from), x(geometry.whisker.to)]
    const ends = `M${from} ${middle - height * 0.22}v${height * 0.44}M${to} ${middle - height * 0.22}v${height * 0.44}`
    marks.push(
      svg('path', {
        d: `M${from} ${middle}H${to}${ends}`,
        stroke: colour,
        'stroke-width': round(height * 0.08),
        fill: 'none',
      }),
    )
  }
  if (geometry.mark !== null)
    marks.push(verdictShape(verdict.state, { x: x(geometry.mark), y: middle, size: height * 0.27 }, inks))
  return svg(
    'g',
    {},
    svg('rect', { x: 0, y: top, width: limit, height: bar, fill: inks.insideWash }),
    svg('rect', { x: limit, y: top, width: round(width - limit), height: bar, fill: inks.outsideWash }),
    hatching({ from: geometry.limitAt * width, to: width, top, bar }, inks),
    ...geometry.ticks.map(tick =>
      svg('path', {
        d: `M${x(tick)} ${round(top + bar * 0.65)}V${top + bar}`,
        stroke: inks.ink3,
        'stroke-width': 0.5,
      }),
    ),
    svg('path', {
      d: `M${limit} ${round(height * 0.06)}V${round(height * 0.94)}`,
      stroke: inks.ink,
      'stroke-width': round(height * 0.12),
    }),
    ...marks,
  )
}

const HATCHES = 12

function hatching(at: { from: number; to: number; top: number; bar: number }, inks: Inks): SvgElement {
  const step = (at.to - at.from) / HATCHES
  const lines = Array.from({ length: HATCHES }, (_unused, i) => at.from + 3 + i * step)
    .filter(from => from + at.bar * 0.6 < at.to)
    .map(from => `M${round(from)} ${round(at.top + at.bar)}L${round(from + at.bar * 0.6)} ${round(at.top)}`)
  return svg('path', {
    d: lines.join('') || 'M0 0',
    stroke: inks.outside,
    'stroke-opacity': 0.35,
    'stroke-width': 0.5,
  })
}

/** The shape of a verdict: it is told by its form as well as by its colour. */
export function verdictShape(
  state: Verdict['state'],
  { x, y, size }: { x: number; y: number; size: number },
  inks: Inks,
): SvgElement {
  const common = { fill: verdictInk(inks, state), stroke: inks.sheet, 'stroke-width': round(size * 0.18) }
  const big = round(size * 1.18)
  switch (state) {
    case 'inside':
      return svg('circle', { cx: x, cy: y, r: round(size), ...common })
    case 'too-close':
      return svg('path', { d: `M${x} ${y - big}l${big} ${big}l${-big} ${big}l${-big} ${-big}Z`, ...common })
    case 'outside':
      return svg('path', { d: `M${x - big} ${y - size}h${2 * big}L${x} ${round(y + big)}Z`, ...common })
    default:
      return svg('circle', {
        ...{ cx: x, cy: y, r: round(size * 0.85), fill: inks.sheet },
        ...{ stroke: verdictInk(inks, state), 'stroke-width': round(size * 0.4) },
      })
  }
}
