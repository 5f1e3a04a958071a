import { CoreError } from '#core/errors'
import type { Command } from './command'
import { analyseCommand } from './commands/analyse'
import { checkCommand } from './commands/check'
import { diffCommand } from './commands/diff'
import { judgeCommand } from './commands/judge'
import { reportCommand } from './commands/report'
import { sheetCommand } from './commands/sheet'
import { UsageError } from './usageError'

/** Every command: the one place that lists them. */
const commands: readonly Command[] = [
  judgeCommand,
  reportCommand,
  sheetCommand,
  checkCommand,
  diffCommand,
  analyseCommand,
]

const USAGE = [
  'The same core as the application, without a browser.',
  ...commands.map(({ usage }) => usage),
].join('\n\n')

/** Where a command prints: what was asked for to `out`, how far it is and what went wrong to `err`. */
export interface Shell {
  out: (text: string) => void
  err: (text: string) => void
  /** Whether somebody watches: then it is said how far it is. */
  isWatched?: boolean
}

/** Runs a command. Returns the exit code: 1 where it could not be done. */
export async function run(argv: readonly string[], { out, err, isWatched = false }: Shell): Promise<number> {
  try {
    const [name = '', ...rest] = argv
    if (name === '' || name === '-h' || name === '--help') return printed(out, USAGE)
    const command = commands.find(one => one.name === name)
    if (!command)
      throw new UsageError(
        `There is no command “${name}”. There are ${commands.map(one => one.name).join(', ')}.\n\n${USAGE}`,
      )
    if (rest.includes('-h') || rest.includes('--help')) return printed(out, command.usage)
    const { text, code } = await command.run(rest, words => isWatched && err(`${words}…\n`))
    printed(out, text)
    return code
  } catch (error) {
    err(wordsOf(error))
    return 1
  }
}

function printed(out: (text: string) => void, text: string): 0 {
  out(`${text.trimEnd()}\n`)
  return 0
}

function wordsOf(error: unknown): string {
  if (error instanceof UsageError || error instanceof CoreError) return `${error.message}\n`
  const { code, path, message } = error as { code?: string; path?: string; message?: string }
  if (code?.startsWith('ERR_PARSE_ARGS')) return `${message}\n`
  if (code === 'ENOENT') return `There is no file “${path}”.\n`
  if (code === 'EACCES') return `“${path}” may not be read.\n`
  if (code === 'EISDIR') return `“${path ?? 'That'}” is a folder, not a file.\n`
  throw error
}
