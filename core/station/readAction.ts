import type { PhraseName, SpokenKind } from '../link'
import type { RoleId } from '../review'
import type { RadioAs } from './radioAs'

/** How a generator is set before something is read. */
export interface GeneratorSet {
  role: RoleId
  frequencyHz: number
  levelDbm: number
  toneHz: number
  /** Nought: a plain carrier. */
  deviationHz: number
}

/** What an instrument is to be asked for next, and how it gets there. */
export type ReadAction = { slotId: string; radio: RadioAs } & (
  | {
      is: 'level'
      role: RoleId
      frequencyHz: number
      /** So many seconds after the radio was keyed; null: as soon as it may be. */
      atS: number | null
    }
  /** SINAD while generators stand at levels. */
  | { is: 'sinad'; role: RoleId; set: readonly GeneratorSet[] }
  /** Volts at the speaker while generators stand at levels. */
  | { is: 'volts'; role: RoleId; set: readonly GeneratorSet[] }
  /** A second generator goes up until SINAD is back at a mark: its level is what is read. */
  | {
      is: 'fall'
      role: RoleId
      set: readonly GeneratorSet[]
      raise: GeneratorSet
      from: { lowestDbm: number; highestDbm: number; stepDb: number }
      untilDb: number
    }
  /** A generator goes up until the squelch opens, or down until it shuts. */
  | {
      is: 'edge'
      role: RoleId
      edge: 'open' | 'close'
      turn: GeneratorSet
      from: { lowestDbm: number; highestDbm: number; stepDb: number }
    }
  /** A figure an instrument of a kind shows that stands in no role of the step. */
  | { is: 'figure'; role: RoleId | null; kind: SpokenKind; phrase: PhraseName; frequencyHz: number }
)

/** Roles an action sets generators in. */
export function generatorsOf(action: ReadAction): readonly GeneratorSet[] {
  switch (action.is) {
    case 'sinad':
    case 'volts':
      return action.set
    case 'fall':
      return [...action.set, action.raise]
    case 'edge':
      return [action.turn]
    case 'level':
    case 'figure':
      return []
  }
}
