import { parseArgs } from 'node:util'
import { toMarkdown } from '#core/document'
import { buildReport } from '#core/report'
import type { Command } from '../command'
import { readReview } from '../readReview'
import { UsageError } from '../usageError'
import { version } from '../../package.json'

const USAGE = `rigorous-meter report REVIEW.json

Prints the whole report of a review as Markdown: what the page and the PDF hold.
`

/** The report of a review. */
export const reportCommand: Command = {
  name: 'report',
  usage: USAGE,
  run: async (argv, progress) => {
    const { positionals } = parseArgs({ args: [...argv], allowPositionals: true })
    const [file] = positionals
    if (file === undefined || positionals.length > 1) throw new UsageError(`Which review?\n\n${USAGE}`)
    const { context } = await readReview(file)
    progress(`Writing the report of “${context.review.title}”`)
    const at = context.review.updatedAt.slice(0, 16).replace('T', ' ')
    return { text: toMarkdown(buildReport(context, { version, at: `${at} UTC` })), code: 0 }
  },
}
