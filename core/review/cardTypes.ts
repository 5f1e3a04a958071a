import type { Mode } from '../rules'
import type { RoleId } from './readingTypes'

/** What the maker says of one band at one power level. */
export type PowerClaim =
  | { kind: 'watts'; powerW: number }
  /** The level exists, and the maker gives no figure. */
  | { kind: 'not-said' }
  /** The set has no such level on this band. */
  | { kind: 'no-level' }

/** A channel of a band that is measured. */
export interface Channel {
  id: string
  name: string
  frequencyHz: number
  /** Harmonics are measured on this channel too. */
  harmonics: boolean
}

/** A power level a set can be switched to. */
export interface PowerLevel {
  id: string
  name: string
}

/** What a maker may claim of a receiver. */
export const RECEIVER_CLAIMS = [
  'sinad-12',
  'sinad-20',
  'snr-10',
  'quieting-20',
  'selectivity',
  'blocking',
  'audio-power',
] as const
/** What a maker may claim of a receiver. */
export type ReceiverClaimKind = (typeof RECEIVER_CLAIMS)[number]

/** One claim of a receiver; the maker may name it and give no figure. */
export interface ReceiverClaim {
  id: string
  kind: ReceiverClaimKind
  /** As printed on the box; null: not said. */
  value: number | null
  unit: 'dBm' | 'µV' | 'dBµV' | 'dB' | 'W'
  /** What a voltage stands for, as the box says. */
  voltageIs: 'pd' | 'emf' | 'not-said'
  /** What the reviewer takes it for where the box does not say. */
  takenAs: 'pd' | 'emf'
  /** Channel spacing it is claimed for, Hz; null: not said, any. */
  spacingHz: number | null
}

/** A band of a set: its channels, what the maker claims of it, and what rulebooks must know. */
export interface Band {
  id: string
  name: string
  channels: Channel[]
  /** By level id. */
  claims: Record<string, PowerClaim>
  mode: Mode
  /** Channel spacing, Hz; null where the card does not say. */
  channelSpacingHz: number | null
  /** Further spacings the set can be switched to here, Hz: deviation and neighbours are measured at each. */
  alsoSpacingsHz: number[]
  /** Gain of the antenna less feed loss over a half-wave dipole, dB; null where nobody knows. */
  antennaGainDbd: number | null
  /** How well that gain is known, ± dB; null where nobody says: then ±2 dB are assumed. */
  antennaGainDoubtDb: number | null
  /** What the maker claims of its receiver here. */
  receives: ReceiverClaim[]
  /** Rulebooks this band is judged by; null: those of the review. */
  rulebookIds: string[] | null
}

/** What the label on the battery says; null where it does not. */
export interface BatteryLabel {
  voltageV: number | null
  capacityAh: number | null
  energyWh: number | null
}

/** What kind of radio: some clauses speak of one kind only. */
export type SetKind = 'handheld' | 'mobile'

/** The part a set plays: tested, or known to be clean and read to check the bench. */
export type SetRole = 'under-test' | 'control'

/** What a radio does in a step: its socket is made ready for the one or the other, never for both. */
export type RadioWork = 'transmits' | 'hears'

/** A going over from transmitting to receiving, or back. */
export interface ReadyFor {
  work: RadioWork
  /** What was seen to, by the ids of the list. */
  ticked: string[]
  at: string
}

/** One radio: its card and its claims. */
export interface RadioSet {
  id: string
  kind: SetKind
  role: SetRole
  make: string
  model: string
  sample: string
  serial: string
  firmware: string
  price: string
  /** Bought, lent, gift: disclosed in the report. */
  howObtained: string
  inTheBox: string
  battery: BatteryLabel
  levels: PowerLevel[]
  bands: Band[]
  /** Battery or supply as it stands now; copied to every reading. */
  supplyNow: string
  /** Longest the set may be keyed in one go, s. */
  keyDownLimitS: number
  /**
   * What the radio’s socket was last made ready for, with what was ticked; null: nobody said, taken as ready to
   * transmit.
   */
  readyFor: ReadyFor | null
  /** Chain by station and role; a role without an entry takes the first that suits. */
  chains: Record<string, Record<RoleId, string>>
}
