import { fits, headerPattern, SCPI_ERRORS, scpiCommands, type ScpiError, ScpiSyntaxError } from '../../link'

/** What a command of an instrument does: it answers, or it sets something. @throws InstrumentError */
export type CommandRun = (args: readonly string[]) => string | Uint8Array | void

/** A fault an instrument puts into its error queue. */
export class InstrumentError extends Error {
  constructor(readonly error: ScpiError) {
    super(error.words)
  }
}

/** An instrument that is spoken to by lines, and answers as one does. */
export interface ScpiInstrument {
  /** Takes a line; what it answers, with its line end, or null where nothing was asked. */
  receive: (line: string) => Uint8Array | null
}

/** Errors that are kept until somebody asks. */
const QUEUE_LENGTH = 20

/**
 * An instrument of commands, with what every one has: identity, reset, the error queue, waiting for nothing.
 * @see IEEE 488.2 and SCPI-99 (from memory).
 */
export function scpiInstrument({
  identity,
  commands,
  reset,
}: {
  identity: string
  /** By the pattern of their header. */
  commands: Readonly<Record<string, CommandRun>>
  reset: () => void
}): ScpiInstrument {
  let queue: ScpiError[] = []
  const note = (error: ScpiError): void => {
    if (queue.length < QUEUE_LENGTH) queue.push(error)
    else queue[QUEUE_LENGTH - 1] = SCPI_ERRORS.queueOverflow
  }
  const nextError = (): string => {
    const { code, words } = queue.shift() ?? SCPI_ERRORS.none
    return `${code},"${words}"`
  }
  const all: [string, CommandRun][] = [
    ['*IDN?', () => identity],
    ['*CLS', () => void (queue = [])],
    ['*RST', () => void reset()],
    ['*OPC?', () => '1'],
    ['*WAI', () => undefined],
    ['SYSTem:ERRor[:NEXT]?', nextError],
    ...Object.entries(commands),
  ]
  const known = all.map(([pattern, run]) => ({ pattern: headerPattern(pattern), run }))

  function receive(line: string): Uint8Array | null {
    const answers: (string | Uint8Array)[] = []
    try {
      for (const command of scpiCommands(line)) {
        const found = known.find(({ pattern }) => fits(command, pattern))
        if (!found) throw new InstrumentError(SCPI_ERRORS.undefinedHeader)
        const answer = found.run(command.arguments)
        if (answer !== undefined) answers.push(answer)
      }
    } catch (error) {
      if (error instanceof InstrumentError) note(error.error)
      else if (error instanceof ScpiSyntaxError) note(SCPI_ERRORS.syntax)
      else throw error
    }
    return answers.length === 0 ? null : joined(answers)
  }
  return { receive }
}

/** Answers of one message stand behind each other with semicolons, and end with a line end. */
function joined(answers: readonly (string | Uint8Array)[]): Uint8Array {
  const parts = answers.map(answer =>
    typeof answer === 'string' ? Uint8Array.from(answer, char => char.charCodeAt(0)) : answer,
  )
  const bytes = new Uint8Array(parts.reduce((sum, part) => sum + part.length + 1, 0))
  let at = 0
  for (const [i, part] of parts.entries()) {
    bytes.set(part, at)
    at += part.length
    bytes[at++] = i < parts.length - 1 ? SEMICOLON : NEWLINE
  }
  return bytes
}

const [SEMICOLON, NEWLINE] = [59, 10]
