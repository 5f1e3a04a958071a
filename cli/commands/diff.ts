import { parseArgs } from 'node:util'
import { reviewDifferences } from '#core/findings'
import type { Command } from '../command'
import { readReview } from '../readReview'
import { UsageError } from '../usageError'

const SAME = 0
const DIFFERENT = 3

const USAGE = `rigorous-meter diff OLD.json NEW.json [--json]

Names every figure and verdict in which two states of a review differ.

Exit code ${SAME} where none does, ${DIFFERENT} where one does, 1 where one of them cannot be read.
`

/** Two states of a review against each other. */
export const diffCommand: Command = {
  name: 'diff',
  usage: USAGE,
  run: async (argv, progress) => {
    const { values, positionals } = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: { json: { type: 'boolean', default: false } },
    })
    const [before, after] = positionals
    if (before === undefined || after === undefined || positionals.length > 2)
      throw new UsageError(`Which two reviews?\n\n${USAGE}`)
    const old = await readReview(before)
    const now = await readReview(after)
    progress(`Comparing “${old.context.review.title}” with “${now.context.review.title}”`)
    const differences = reviewDifferences(old.context, now.context)
    const lines = differences.map(
      ({ set, station, place, before: was, after: is }) => `${set}, ${station}, ${place}: ${was} → ${is}`,
    )
    const count = differences.filter(({ isVerdict }) => isVerdict).length
    const summary =
      differences.length === 0
        ? 'Nothing differs.'
        : `${differences.length} figures differ, of them ${count} in their verdict.`
    return {
      text: values.json ? JSON.stringify(differences, null, 2) : [...lines, summary].join('\n'),
      code: differences.length === 0 ? SAME : DIFFERENT,
    }
  },
}
