import { type Inks, movedBy, svg, type SvgElement, type SvgNode, textAt, textWidth } from '../svg'
import type { Role } from '../step'
import type { Station } from './contract'

const BOX = { width: 150, height: 44, gap: 84 }
const LEAD = 74
const SIZE = 13

/** How a station is wired: the radio, what stands between, and what stands at the other end, with the signal’s way. */
export function wiringDrawing({ roles }: Pick<Station, 'roles'>, inks: Inks): SvgElement {
  const all = Object.values(roles)
  const rows = all.length > 0 ? all.map((role, i) => movedBy(0, i * LEAD, rowOf(role, inks))) : [bare(inks)]
  const width = 3 * BOX.width + 2 * BOX.gap
  const height = Math.max(1, all.length) * LEAD
  const words = all.map(({ title, signal }) =>
    signal === 'to-radio' ? `${title} to radio` : `radio to ${title}`,
  )
  return svg(
    'svg',
    {
      ...{ xmlns: 'http://www.w3.org/2000/svg', width, height, viewBox: `0 0 ${width} ${height}` },
      ...{ role: 'img', 'aria-label': words.join('; ') || 'The radio by itself' },
    },
    ...rows,
  )
}

function rowOf({ title, signal, optional }: Role, inks: Inks): SvgElement {
  const between = signal === 'audio' ? 'rated load' : 'cable, pads'
  const socket = signal === 'audio' ? 'Radio, loudspeaker' : 'Radio, socket'
  const at = (n: number) => n * (BOX.width + BOX.gap)
  return svg(
    'g',
    {},
    box(at(0), socket, inks),
    arrow(at(0) + BOX.width, signal === 'to-radio', inks),
    box(at(1), between, inks),
    arrow(at(1) + BOX.width, signal === 'to-radio', inks),
    box(at(2), optional ? `${title}, if any` : title, inks),
  )
}

/** Nothing stands between: eyes, ears and a pen. */
function bare(inks: Inks): SvgElement {
  return svg('g', {}, box(0, 'Radio', inks), box(BOX.width + BOX.gap, 'eyes, ears, a pen', inks))
}

function box(x: number, words: string, inks: Inks): SvgElement {
  const size = Math.min(SIZE, (SIZE * (BOX.width - 12)) / textWidth(words, SIZE, 700))
  return svg(
    'g',
    {},
    svg('rect', {
      ...{ x: x + 1, y: 8, width: BOX.width - 2, height: BOX.height, rx: 6 },
      ...{ fill: inks.sheet, stroke: inks.line2, 'stroke-width': 1.4 },
    }),
    textAt(words, {
      ...{ x: x + BOX.width / 2, y: 8 + BOX.height / 2 + size * 0.35, size, weight: 700 },
      ...{ fill: inks.ink, anchor: 'middle' },
    }),
  )
}

function arrow(x: number, isBack: boolean, inks: Inks): SvgNode {
  const [from, to] = isBack ? [x + BOX.gap - 6, x + 8] : [x + 6, x + BOX.gap - 8]
  const y = 8 + BOX.height / 2
  const wing = isBack ? 8 : -8
  return svg('path', {
    d: `M${from} ${y}H${to}M${to + wing} ${y - 5}L${to} ${y}l${wing} 5`,
    ...{ stroke: inks.spruce, fill: 'none', 'stroke-width': 2 },
  })
}
