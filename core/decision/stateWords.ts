import type { VerdictState } from './verdict'

/** A verdict’s state in words, without its figures. */
export const verdictStateWords: Readonly<Record<VerdictState, string>> = {
  inside: 'inside',
  'too-close': 'too close to call',
  outside: 'outside',
  'not-covered': 'not covered',
  'no-figure': 'no figure in law',
  observation: 'observation',
}
