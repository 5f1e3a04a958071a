import { parseArgs } from 'node:util'
import { findings, mayIKey } from '#core/findings'
import { readingsCsv } from '#core/report'
import { setName } from '#core/review'
import type { Context } from '#core/context'
import type { Command } from '../command'
import { readReview } from '../readReview'
import { UsageError } from '../usageError'
import { judgementMarkdown } from '../judgementMarkdown'

/** Exit codes of `judge`. */
const NOTHING_OUTSIDE = 0
const SOMETHING_OUTSIDE = 3

const FORMATS = ['json', 'csv', 'md'] as const
type Format = (typeof FORMATS)[number]

const USAGE = `rigorous-meter judge REVIEW.json [--format json|csv|md]

Works a review out again and prints every answer; nothing is changed.
  --format   json (default), csv with a row for every judgement, md for a forum

Exit code ${NOTHING_OUTSIDE} where nothing that counts against limits is outside, ${SOMETHING_OUTSIDE} where something is, 1 where it cannot be read.
`

/** What a review comes to, for a program. */
export interface Judgement {
  review: { id: string; title: string }
  sets: {
    name: string
    keying: { band: string; state: string; by: string[]; because: string[]; notLookedAt: string[] }[]
    answers: {
      question: string
      against: string
      state: string
      words: string
      detail: string
      margin: number | null
    }[]
  }[]
}

/** Every answer of a review, by set. */
export function judgementOf(context: Context): Judgement {
  const found = findings(context)
  const { id, title } = context.review
  return {
    review: { id, title },
    sets: found.sets.map((set, index) => ({
      name: setName(set),
      keying: mayIKey(set, context).map(({ band, state, rulebooks, because, notLookedAt }) => ({
        ...{ band: band.name, state, by: rulebooks, notLookedAt },
        because: because.map(({ words }) => words),
      })),
      answers: found.rows.flatMap(({ question, answers }) => {
        const { answer } = answers[index]!
        if (answer.gap === 'not-on-set') return []
        const { verdict, words, detail } = answer
        return [
          {
            ...{ question: question.question, against: question.against, state: verdict.state },
            ...{ words, detail, margin: verdict.margin },
          },
        ]
      }),
    })),
  }
}

function formatOf(format: string): Format {
  const known = FORMATS.find(one => one === format)
  if (!known) throw new UsageError(`--format takes ${FORMATS.join(', ')}.`)
  return known
}

function printed(format: Format, context: Context, judgement: Judgement): string {
  switch (format) {
    case 'json':
      return JSON.stringify(judgement, null, 2)
    case 'csv':
      return readingsCsv(context)
    case 'md':
      return judgementMarkdown(judgement)
  }
}

/** Works a review out again. */
export const judgeCommand: Command = {
  name: 'judge',
  usage: USAGE,
  run: async (argv, progress) => {
    const { values, positionals } = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: { format: { type: 'string', default: 'json' } },
    })
    const [file] = positionals
    if (file === undefined || positionals.length > 1) throw new UsageError(`Which review?\n\n${USAGE}`)
    const format = formatOf(values.format)
    const { context } = await readReview(file)
    progress(`Judging “${context.review.title}”`)
    const judgement = judgementOf(context)
    const isOutside = judgement.sets.some(({ answers }) =>
      answers.some(({ against, state }) => against === 'limits' && state === 'outside'),
    )
    return {
      text: printed(format, context, judgement),
      code: isOutside ? SOMETHING_OUTSIDE : NOTHING_OUTSIDE,
    }
  },
}
