import type { Instrument } from '../chain'
import type { Band, Channel, PowerClaim, PowerLevel, RadioSet, RadioWork, RoleId } from '../review'
import type { Slot } from './slot'

/** What stands at the other end of a chain, and which way the signal goes. */
export interface Role {
  title: string
  /** Kinds that can stand there, the best first. */
  instruments: readonly Instrument['kind'][]
  signal: 'from-radio' | 'to-radio' | 'audio'
  /** The station does without it: figures may be typed. */
  optional?: boolean
  /** Another chain than that of this role: two signals at once. */
  apartFrom?: RoleId
}

/** The roles of a station, in the order of the signal; most have one, off the air has none. */
export type Roles = Readonly<Record<RoleId, Role>>

/** The one role of a station that reads what comes out of the radio. */
export const INSTRUMENT_ROLE = 'instrument'

/** One line of the set-the-radio list. */
export interface RadioSetting {
  id: string
  words: string
}

/** How the radio is set for a step besides band and channel. */
export interface StepSetting {
  level: PowerLevel
  /** Channel spacing it is switched to, Hz, where it has several and the step hangs on it. */
  spacingHz: number | null
}

/** What a step is about: one channel, a band with all its channels, or the set as a whole. */
export type StepCover = 'channel' | 'band' | 'set'

/** One of several things of a kind: an antenna of a set. */
export interface StepVariant {
  id: string
  title: string
}

/** One step of the run: one frequency, one setting, one chain a role. */
export interface Step {
  /** Stable across planning: station, band, channel and level. */
  id: string
  stationId: string
  set: RadioSet
  covers: StepCover
  /** Which of several things of one kind it is about, each with steps of its own; null where there is one. */
  variant: StepVariant | null
  /** Of a step on the set as a whole: its first, for whoever needs one. */
  band: Band
  channel: Channel
  setting: StepSetting
  claim: PowerClaim
  /** Chain new readings go through, by role; null where the bench has none that suits. */
  chains: Readonly<Record<RoleId, string | null>>
  slots: Slot[]
  instruction: string
  radioSettings: RadioSetting[]
  /** What must be ticked before anything is read. */
  interlocks: RadioSetting[]
  /** What the radio does in it. */
  work: RadioWork
  cautions: string[]
  /** How long the radio is keyed for it; null where it is not. */
  keyed: { seconds: number } | null
  durationS: number
  /** The radio must be cold, or warmed up, for it. */
  thermal: 'cold' | 'warm' | 'any'
  /** It wants a full battery, or the supply at its nominal voltage. */
  needsFullSupply: boolean
}

/** The chain of a step’s first role; null where it has no role, or the bench none that suits. */
export function chainIdOf({ chains }: Pick<Step, 'chains'>): string | null {
  for (const role in chains) return chains[role]!
  return null
}

/** True where the step goes through chains at all: off the air nothing stands between. */
export function needsChain({ chains }: Pick<Step, 'chains'>): boolean {
  return Object.keys(chains).length > 0
}

/** All chains of a step as one key: equal where nothing has to be taken apart between two steps. */
export function chainsKey({ chains }: Pick<Step, 'chains'>): string {
  return Object.values(chains)
    .map(id => id ?? '')
    .join('+')
}
