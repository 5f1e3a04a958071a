import { decisionRuleWords } from '../decision'
import { printDb } from '../quantity'
import type { Rulebook } from '../rules'
import type { Context } from '../context'
import type { ReportSection } from '../document'

/** The rulebooks, the decision rule and the tolerance on claims, as they were applied. */
export function ruleSection(context: Context): ReportSection {
  const { settings } = context.review
  const books = usedRulebooks(context)
  const rule = decisionRuleWords[settings.decisionRule]
  return {
    id: 'rule',
    title: 'Rule',
    blocks: [
      {
        kind: 'facts',
        rows: [
          ...books.map((book): [string, string] => [
            book.owner === 'reviewer' ? 'Reviewer’s own rulebook' : 'Rulebook',
            rulebookWords(book),
          ]),
          [
            'Yardstick',
            context.yardstick
              ? `${context.yardstick.title}: the reviewer’s own, no law; shown only where law has no figure.`
              : 'none',
          ],
          ['Decision', `${rule.title}. ${rule.text} ${rule.promise} (${rule.source})`],
          [
            'Claimed power',
            settings.claimToleranceDb > 0
              ? `counts as met from ${printDb(settings.claimToleranceDb)} below the claim on`
              : 'judged without tolerance',
          ],
        ],
      },
    ],
  }
}

/** Every rulebook something in the review is judged by: the review's, and those single bands name. */
function usedRulebooks(context: Context): Rulebook[] {
  return [
    ...new Set([
      ...context.rulebooks,
      ...context.review.sets.flatMap(set => set.bands.flatMap(band => context.rulebooksOf(band))),
    ]),
  ]
}

function rulebookWords(book: Rulebook): string {
  const based =
    book.basedOn === null ? '' : ` Copied from ${book.basedOn} and changed or not by the reviewer.`
  const head = `${book.title}: ${book.edition}.`
  if (book.owner === 'reviewer') return `${head} Entered by the reviewer, who answers for it.${based}`
  return book.clauses.some(({ recalled }) => recalled)
    ? `${head} Limits are recalled from memory; check the current text before you rely on a verdict.`
    : head
}
