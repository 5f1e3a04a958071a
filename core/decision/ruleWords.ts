import type { DecisionRule } from './decide'

/** A decision rule as it is offered and as the report states it. */
export interface DecisionRuleWords {
  title: string
  /** What it does, in a sentence. */
  text: string
  /** What it promises about wrong answers. */
  promise: string
  source: string
}

/** The rules in words. Sources from memory. */
export const decisionRuleWords: Readonly<Record<DecisionRule, DecisionRuleWords>> = {
  'sure-either-way': {
    title: 'Sure either way',
    text:
      'Inside when the true value complies with at least 95 % probability, ' +
      'outside when it does with 5 % or less, otherwise too close to call.',
    promise: 'A radio right at its limit is called inside, or outside, at most one time in twenty.',
    source: 'JCGM 106:2012; recalled',
  },
  guarded: {
    title: 'Guarded by U',
    text: 'Inside when the whole 95 % range is inside, outside when all of it is outside, otherwise too close to call.',
    promise: 'A radio right at its limit is called inside, or outside, at most one time in forty.',
    source: 'ILAC-G8:09/2019, 4.2.2, w = U; recalled',
  },
  'shared-risk': {
    title: 'Shared risk',
    text: 'The value alone decides; the range is shown and not used.',
    promise: 'A radio right at its limit is called inside every second time.',
    source: 'JCGM 106:2012, 8.2; ILAC-G8:09/2019, 4.2.1; recalled',
  },
  'four-states': {
    title: 'Pass, conditional pass, conditional fail, fail',
    text:
      'Pass when the whole 95 % range is inside, fail when all of it is outside; ' +
      'in between conditional pass or conditional fail by the value.',
    promise:
      'Pass and fail are wrong at most one time in forty for a radio right at its limit; ' +
      'a conditional answer may be wrong every second time.',
    source: 'ILAC-G8:09/2019, 4.2.3; recalled',
  },
}
