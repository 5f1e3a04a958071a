import type { SvgNode } from './node'

/** A drawing as text. */
export function svgText(node: SvgNode): string {
  return markup(node, () => true)
}

/** Elements that end by themselves in HTML: those that never hold anything, and the shapes of drawings. */
const ENDS_ITSELF = new Set(['meta', 'img', 'path', 'rect', 'circle'])

/** Elements of a page as text, drawings among them. */
export function htmlText(node: SvgNode): string {
  return markup(node, tag => ENDS_ITSELF.has(tag))
}

/** A drawing as a file of its own. */
export function svgFile(node: SvgNode): string {
  return `<?xml version="1.0" encoding="UTF-8"?>\n${svgText(node)}\n`
}

/** @param endsItself - whether an element with nothing in it is written as one tag. */
function markup(node: SvgNode, endsItself: (tag: string) => boolean): string {
  if (typeof node === 'string') return escaped(node)
  const attributes = Object.entries(node.attributes).map(
    ([name, value]) => ` ${name}="${escaped(String(value))}"`,
  )
  const head = `<${node.tag}${attributes.join('')}`
  return node.children.length === 0 && endsItself(node.tag)
    ? `${head}/>`
    : `${head}>${node.children.map(child => markup(child, endsItself)).join('')}</${node.tag}>`
}

const SIGNS: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }

/** Characters that no XML may hold are left out. */
function escaped(text: string): string {
  return [...text]
    .filter(char => char >= ' ' || char === '\n' || char === '\t')
    .map(char => SIGNS[char] ?? char)
    .join('')
}
