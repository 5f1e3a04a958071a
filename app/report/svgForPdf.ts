import { FIGURE_FACE, svg, type SvgElement, type SvgNode } from '#core/svg'

const SIGNS = /([µμΩΔ])/

/** A drawing with the faces a PDF of ours has inside; signs the main face lacks come from the one that has them. */
export function forPdf(drawing: SvgElement): SvgElement {
  return node(drawing) as SvgElement
}

function node(one: SvgNode): SvgNode {
  if (typeof one === 'string') return one
  const { tag, attributes, children } = one
  const family = attributes['font-family']
  const faced = family === undefined ? attributes : { ...attributes, 'font-family': faceOf(family) }
  const isText = tag === 'text' || tag === 'tspan'
  return {
    tag,
    attributes: faced,
    children: children.flatMap(child =>
      isText && typeof child === 'string' ? signsOf(child) : [node(child)],
    ),
  }
}

const faceOf = (family: string | number) => (family === FIGURE_FACE ? 'Mono' : 'Next')

function signsOf(text: string): SvgNode[] {
  return text
    .split(SIGNS)
    .filter(part => part !== '')
    .map(part =>
      SIGNS.test(part)
        ? svg(
            'tspan',
            { 'font-family': part === 'Ω' || part === 'Δ' ? 'Greek' : 'Signs' },
            part === 'μ' ? 'µ' : part,
          )
        : part,
    )
}
