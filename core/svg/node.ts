/** An element of a drawing. Text in it is plain text: whoever writes it out escapes it. */
export interface SvgElement {
  tag: string
  attributes: Readonly<Record<string, string | number>>
  children: readonly SvgNode[]
}

/** An element, or text. */
export type SvgNode = SvgElement | string

/** An element with attributes and what is in it. */
export function svg(
  tag: string,
  attributes: Readonly<Record<string, string | number>>,
  ...children: SvgNode[]
): SvgElement {
  return { tag, attributes, children }
}

/** Elements moved together. */
export function movedBy(x: number, y: number, ...children: SvgNode[]): SvgElement {
  return svg('g', { transform: `translate(${round(x)} ${round(y)})` }, ...children)
}

/** Hundredths of a pixel are enough, and files stay short. */
export function round(value: number): number {
  return Math.round(value * 100) / 100
}
