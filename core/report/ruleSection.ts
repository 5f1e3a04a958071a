import { printDb } from '../quantity'
import type { StationContext } from '../station'
import type { ReportSection } from './model'

/** The rulebook, the decision rule and the tolerance on claims, as they were applied. */
export function ruleSection(context: StationContext): ReportSection {
  const { settings } = context.review
  const recalled = context.rulebook.limits.some(limit => limit.recalled)
  return {
    id: 'rule', title: 'Rule', blocks: [
      { kind: 'facts', rows: [
        ['Rulebook', `${context.rulebook.title}: ${context.rulebook.edition}`],
        ['Standing', recalled ? 'Limits are recalled from memory; check the current text before you rely on a verdict.' : 'Limits as published.'],
        ['Yardstick', context.yardstick ? `${context.yardstick.title}: the reviewer’s own, no law; shown only where law has no figure.` : 'none'],
        ['Decision', 'Sure either way: inside when the true value complies with at least 95 % probability, outside when it does with 5 % or less, otherwise too close to call (JCGM 106:2012).'],
        ['Claimed power', settings.claimToleranceDb > 0 ? `counts as met from ${printDb(settings.claimToleranceDb)} below the claim on` : 'judged without tolerance'],
      ] },
    ],
  }
}
