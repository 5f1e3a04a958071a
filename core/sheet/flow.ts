import { svg, type SvgElement, TEXT_FACE, textWidth, type Weight } from '../svg'

/** A piece of running text in one weight and colour. */
export interface Run {
  text: string
  weight: Weight
  fill: string
}

/** Lines of runs no wider than this. */
export function flowed(runs: readonly Run[], width: number, size: number): Run[][] {
  const lines: Run[][] = [[]]
  let used = 0
  for (const { text, weight, fill } of runs)
    for (const word of text.split(/ +/).filter(Boolean)) {
      const space = used > 0 ? textWidth(' ', size, weight) : 0
      const wide = textWidth(word, size, weight)
      if (used > 0 && used + space + wide > width) {
        lines.push([])
        used = 0
      }
      const piece = used > 0 ? ` ${word}` : word
      const line = lines.at(-1)!
      const last = line.at(-1)
      if (last && last.weight === weight && last.fill === fill) last.text += piece
      else line.push({ text: piece, weight, fill })
      used += (used > 0 ? space : 0) + wide
    }
  return lines.filter(line => line.length > 0)
}

/** Lines of runs under each other. */
export function flowedLines(
  lines: readonly Run[][],
  { x, y, size, lead }: { x: number; y: number; size: number; lead: number },
): SvgElement[] {
  return lines.map((line, i) =>
    svg(
      'text',
      {
        x,
        y: Math.round(100 * (y + i * lead)) / 100,
        'font-size': size,
        'font-family': TEXT_FACE,
        'xml:space': 'preserve',
      },
      ...line.map(({ text, weight, fill }) => svg('tspan', { 'font-weight': weight, fill }, text)),
    ),
  )
}
