import type { VerdictState } from '../decision'
import type { Inks } from './inks'

/** Colour of a verdict. */
export function verdictInk(inks: Inks, state: VerdictState): string {
  switch (state) {
    case 'inside':
      return inks.inside
    case 'too-close':
      return inks.close
    case 'outside':
      return inks.outside
    case 'observation':
      return inks.observation
    default:
      return inks.notCovered
  }
}
