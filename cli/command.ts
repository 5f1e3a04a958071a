/** What a command prints, and what it tells the shell. */
export interface CommandResult {
  text: string
  code: number
}

/** Where a command says how far it is. */
export type Progress = (words: string) => void

/** One command of the shell. */
export interface Command {
  name: string
  usage: string
  /** @throws UsageError, CoreError or what the disk says. */
  run: (argv: readonly string[], progress: Progress) => Promise<CommandResult>
}
