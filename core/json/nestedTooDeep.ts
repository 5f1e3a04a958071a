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
  const tooMany = `it holds more than ${values} values`
  let [open, count] = [0, 0]
  for (let i = 0; i < text.length; i++)
    switch (text[i]) {
      case '"':
        i = endOfString(text, i + 1)
        break
      case ',':
        if ((count += 1) > values) return tooMany
        break
      case '[':
      case '{':
        if ((open += 1) > depth) return `it is nested more than ${depth} deep`
        if ((count += 1) > values) return tooMany
        break
      case ']':
      case '}':
        open -= 1
        break
    }
  return null
}

/** Where a string that begins there ends: at its closing quote, or with the text. */
function endOfString(text: string, from: number): number {
  for (let at = text.indexOf('"', from); at >= 0; at = text.indexOf('"', at + 1)) {
    let last = at - 1
    while (text[last] === '\\') last -= 1
    // An even row of backslashes is backslashes; an odd one makes the quote a part of the string.
    if ((at - last) % 2 === 1) return at
  }
  return text.length
}
