/** One command of a message: `SOURce:FREQuency 146.52 MHZ` or a query. */
export interface ScpiCommand {
  /** Words of its header; one that begins with `*` for a common command. */
  header: string[]
  isQuery: boolean
  arguments: string[]
}

/** A message that cannot be read, as an error queue would have it. */
export class ScpiSyntaxError extends Error {}

/** Longest message that is looked at, characters. */
export const MOST_MESSAGE = 4096

/**
 * Commands of one message. After a semicolon the next one begins where the last left off, unless a colon or a
 * common command begins it.
 * @throws ScpiSyntaxError
 * @see IEEE 488.2 and SCPI-99, volume 1, 6.2.4 (from memory).
 */
export function scpiCommands(message: string): ScpiCommand[] {
  if (message.length > MOST_MESSAGE) throw new ScpiSyntaxError(`longer than ${MOST_MESSAGE} characters`)
  let path: string[] = []
  return separated(message, ';')
    .filter(part => part.trim() !== '')
    .map(part => {
      const command = commandIn(part.trim(), path)
      if (!command.header[0]!.startsWith('*')) path = command.header.slice(0, -1)
      return command
    })
}

function commandIn(text: string, path: readonly string[]): ScpiCommand {
  const found = /^(\*[A-Za-z]+|:?[A-Za-z][\w:]*)(\?)?(?:\s+([\s\S]*))?$/.exec(text)
  if (!found) throw new ScpiSyntaxError(`“${text.slice(0, 40)}” is no command`)
  const [, head, query, rest] = found
  const words = head!.replace(/^:/, '').split(':')
  if (words.some(word => word === '')) throw new ScpiSyntaxError(`“${head}” has an empty word`)
  const isAbsolute = head!.startsWith(':') || head!.startsWith('*')
  return {
    header: isAbsolute ? words : [...path, ...words],
    isQuery: query === '?',
    arguments: rest === undefined ? [] : separated(rest, ',').map(one => one.trim()),
  }
}

/** Splits outside of quotation marks. @throws ScpiSyntaxError where one is left open. */
function separated(text: string, mark: string): string[] {
  const parts = ['']
  let quote = ''
  for (const char of text) {
    if (quote === '' && (char === '"' || char === "'")) quote = char
    else if (char === quote) quote = ''
    if (quote === '' && char === mark) parts.push('')
    else parts[parts.length - 1] += char
  }
  if (quote !== '') throw new ScpiSyntaxError('a quotation mark is left open')
  return parts
}
