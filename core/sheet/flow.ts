import { type SvgElement, textAt, textWidth, type Weight } from '../svg'

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

/** So many lines; where there are more, the last says so. */
export function firstLines(lines: readonly Run[][], most: number): Run[][] {
  if (lines.length <= most) return [...lines]
  const shown = lines.slice(0, most)
  const last = shown.pop()!
  const end = last.at(-1)!
  return [...shown, [...last.slice(0, -1), { ...end, text: `${end.text} …` }]]
}

/** Lines of runs under each other. Each run is a text of its own: not every medium goes on where one ended. */
export function flowedLines(
  lines: readonly Run[][],
  { x, y, size, lead }: { x: number; y: number; size: number; lead: number },
): SvgElement[] {
  return lines.flatMap((line, i) => {
    let at = x
    return line.map(({ text, weight, fill }) => {
      const words = text.trimStart()
      const from = at + textWidth(text.slice(0, text.length - words.length), size, weight)
      at += textWidth(text, size, weight)
      return textAt(words, { x: from, y: y + i * lead, size, weight, fill })
    })
  })
}
