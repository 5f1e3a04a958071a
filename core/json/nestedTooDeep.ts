/** What a JSON text of ours may hold at most. */
export interface JsonLimits {
  /** Brackets within brackets. */
  depth: number
  /** Values: commas and brackets, near enough. */
  values: number
}

/**
 * Looks at the brackets of a JSON text before it is parsed: nested deeply, a small file takes a parser and a
 * schema minutes.
 * @returns what is too much, in words; null where nothing is.
 */
export function nestedTooDeep(text: string, { depth, values }: JsonLimits): string | null {
  let [open, count, inString] = [0, 0, false]
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i)
    if (inString) {
      if (code === BACKSLASH) i += 1
      else if (code === QUOTE) inString = false
    } else if (code === QUOTE) inString = true
    else if (code === COMMA) count += 1
    else if (code === SQUARE || code === CURLY) {
      open += 1
      count += 1
      if (open > depth) return `it is nested more than ${depth} deep`
    } else if (code === SQUARE_END || code === CURLY_END) open -= 1
    if (count > values) return `it holds more than ${values} values`
  }
  return null
}

const [QUOTE, BACKSLASH, COMMA] = [34, 92, 44]
const [SQUARE, SQUARE_END, CURLY, CURLY_END] = [91, 93, 123, 125]
