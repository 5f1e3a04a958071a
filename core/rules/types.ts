import { SCALAR_UNITS, type ScalarUnit } from '../quantity'
import type { Quantity, ReceiverMethod } from './quantities'

export * from './quantities'

/** How sure we are of a figure: H sure, M likely, L vague. L never gives a verdict. */
export type Confidence = 'H' | 'M' | 'L'

/** Emission modes a clause may be limited to. */
export type Mode = 'FM' | 'AM' | 'SSB'

/** A limit on power: worked out to dBm at the socket for a carrier and an emission. */
export type PowerLimit =
  /** At most so many watts. */
  | { kind: 'absolute'; powerW: number }
  /** So many dB below the mean power of the carrier. */
  | { kind: 'relative'; attenuationDb: number }
  /** Attenuation of offset + 10·log10(P/1 W) dB: a level that does not move with the carrier. */
  | { kind: 'offset-plus-log-power'; offsetDb: number }
  /** All of them apply (“and”): the strictest holds. */
  | { kind: 'strictest'; of: PowerLimit[] }
  /** Whichever is less stringent, the lesser attenuation. */
  | { kind: 'loosest'; of: PowerLimit[] }
  /** “Need not be reduced below”: the limit never falls under this power. */
  | { kind: 'not-below'; powerW: number; limit: PowerLimit }
  /** By the frequency of the emission. */
  | { kind: 'by-emission'; segments: { fromHz: number; toHz: number; limit: PowerLimit }[] }
  /** By the distance from the carrier, in Hz or in percent of the authorised bandwidth. */
  | { kind: 'mask'; unit: 'Hz' | 'percent'; steps: { from: number; to: number; limit: PowerLimit }[] }
  /**
   * Attenuation that grows with the distance f from the carrier in kHz: `linear` a·(f − b), `log`
   * a·log10(f/b), `log-square` a·log10(f²/b), dB.
   */
  | { kind: 'slope'; law: 'linear' | 'log' | 'log-square'; a: number; b: number }

/** Units of the figures that are no power limit. */
export { SCALAR_UNITS, type ScalarUnit }

/** A single figure. `within`: between `value` and `to`. */
export interface ScalarLimit {
  kind: 'at-most' | 'at-least' | 'within'
  value: number
  /** Upper end of `within`. */
  to?: number
  unit: ScalarUnit
}

/** A limit on a power, or on any other figure. */
export type Limit = PowerLimit | ScalarLimit

/** When a clause applies. What is left out does not matter. */
export interface Conditions {
  /** Ranges of the fundamental, Hz, both ends included. */
  carrierHz?: [from: number, to: number][]
  /** Channels by their frequency, Hz, within 1 kHz. */
  channelsHz?: number[]
  /** Mean power of the fundamental: above the first, up to and with the second, W. null: without end. */
  powerW?: [above: number, upTo: number | null]
  modes?: Mode[]
  channelSpacingHz?: number[]
  kinds?: ('handheld' | 'mobile')[]
  /** Ways a figure of a receiver was come by; a figure that was come by otherwise is another quantity. */
  methods?: ReceiverMethod[]
  /** `standby` speaks of a set that does not transmit. */
  state?: 'operating' | 'standby'
  /** Only whole multiples of the carrier. */
  harmonicsOnly?: boolean
  /** Only emissions at so many times the carrier’s frequency, or above. */
  fromCarrierTimes?: number
  /** Only emissions at least so far from the carrier, Hz: nearer ones are out-of-band, not spurious. */
  awayHz?: number
  /** Power levels of a set, where it has several; the only one counts as the highest. */
  levels?: LevelRank[]
}

/** Where a power level stands among those of its band. */
export const LEVEL_RANKS = ['highest', 'between', 'lowest'] as const
/** Where a power level stands among those of its band. */
export type LevelRank = (typeof LEVEL_RANKS)[number]

/** A clause with its conditions and what it asks. */
export interface LimitClause {
  id: string
  clause: string
  about: Quantity
  confidence: Confidence
  /** Recalled values say so beside every verdict. */
  recalled: boolean
  when: Conditions
  limit: Limit
  /** What the power is counted at: the socket, or radiated from a half-wave dipole’s (ERP) view. */
  basis: 'conducted' | 'erp'
  /** Authorised bandwidth a mask in percent refers to, Hz. */
  bandwidthHz?: number
  /**
   * Bandwidths an emission is to be measured in, by its frequency; for masks by its distance from the
   * carrier.
   */
  referenceBandwidth?: { fromHz: number; toHz: number; bandwidthHz: number }[]
  /** Anything a reader must know; `{power}`, `{carrier}` and `{limit}` are filled in. */
  note: string
}

/** Where a rulebook says in words that there is no figure. */
export interface NoFigureClause {
  clause: string
  about: Quantity
  carrierHz: [from: number, to: number]
  /** Sentence for the person at the bench. */
  words: string
}

/** A stretch of frequency a rulebook speaks of, Hz. */
export interface ServiceBand {
  name: string
  fromHz: number
  toHz: number
}

/** `law` and `standard` give verdicts; a `yardstick` is the reviewer's own and always labelled so. */
export type Standing = 'law' | 'standard' | 'yardstick'

/** Largest uncertainty a standard allows a bench for a quantity: expanded, 95 %. */
export interface LargestUncertainty {
  about: Quantity
  value: number
  /** Of the figure itself (`%`), of the carrier’s frequency (`ppm`), or in the figure’s unit. */
  unit: 'dB' | '%' | 'ppm'
}

/**
 * How a standard itself decides: the measured value against the limit, whatever is left open, on a bench that leaves
 * no more open than it allows.
 */
export interface OwnDecision {
  rule: 'value-against-limit'
  largest: LargestUncertainty[]
}

/** A rulebook: data, with one evaluator for all of them. */
export interface Rulebook {
  id: string
  title: string
  jurisdiction: string
  edition: string
  standing: Standing
  /** Shipped with the product, or the reviewer’s. */
  owner: 'shipped' | 'reviewer'
  /** Id of the rulebook this one was copied from; null for none. */
  basedOn: string | null
  note: string
  /** Bands of the service; a carrier outside them is not this rulebook's business. Empty: any. */
  bands: ServiceBand[]
  clauses: LimitClause[]
  noFigure: NoFigureClause[]
  /** How it decides by itself, where it says so; absent: it leaves that to whoever measures. */
  decides?: OwnDecision
}

/** The fundamental a limit is asked for, and what else is known of the set. */
export interface CarrierFacts {
  frequencyHz: number
  /** Mean power, W. */
  powerW: number
  mode?: Mode
  channelSpacingHz?: number | null
  kind?: 'handheld' | 'mobile'
  /** Which of its levels; the highest by default. */
  level?: LevelRank
  /** Gain of antenna less feed loss over a half-wave dipole, dB; null: not known. */
  antennaGainDbd?: number | null
  /** How well it is known, ± dB; null: nobody says. */
  antennaGainDoubtDb?: number | null
  /** How a figure of the receiver was come by; undefined for what it sends. */
  method?: ReceiverMethod
}

/** The emission that is judged; a second harmonic by default. */
export interface EmissionFacts {
  frequencyHz: number
  /** n of n·f; null for any other emission. */
  harmonic: number | null
  state?: 'operating' | 'standby'
}

/** What one demand would have asked, dBm. */
export interface DemandAnswer {
  words: string
  limitDbm: number
  governs: boolean
}

/** How a standard itself decides on one quantity; null largest: it names none for it. */
export interface DecidesByItself {
  largest: LargestUncertainty | null
}

/** What is said of a rulebook wherever it is named. */
export interface RulebookHead {
  id: string
  title: string
  edition: string
  standing: Standing
  owner: Rulebook['owner']
}

/** A limit with its reason. */
export interface LimitFound {
  kind: 'limit'
  /** At the socket, dBm. */
  limitDbm: number
  /** Least it may be, dBm at the socket, where a clause asks for a least power too; null where none does. */
  lowestDbm: number | null
  /** d(limit)/d(carrier power), dB per dB: 1 where the limit follows the carrier, 0 where it stands still. */
  slope: number
  clause: string
  rulebook: RulebookHead
  recalled: boolean
  confidence: Confidence
  /** The reason in sentences, figures filled in. */
  reason: string
  demands: DemandAnswer[]
  /** Bandwidth the emission is to be measured in, Hz; null where the clause names none. */
  referenceBandwidthHz: number | null
  /** Where the rule counts: radiated power hangs on an antenna’s gain as well. */
  basis: LimitClause['basis']
  /** How the standard itself decides; null where it leaves that open. */
  decides: DecidesByItself | null
}

/** There is no figure, and why. */
export interface NoFigureFound {
  kind: 'no-figure'
  clause: string
  rulebook: RulebookHead
  reason: string
}

/** What would have to be known first. */
export type MissingFact = 'antenna-gain' | 'channel-spacing' | 'mode'

/** There is a figure, and it cannot be applied to what is known. */
export interface CannotJudge {
  kind: 'cannot-judge'
  asks: MissingFact[]
  clause: string
  rulebook: RulebookHead
  reason: string
}

/** The limit on a power, or why there is none. */
export type LimitAnswer = LimitFound | NoFigureFound | CannotJudge

/** A figure that is no power limit, with its reason. */
export interface ScalarFound {
  kind: 'scalar'
  limit: ScalarLimit
  clause: string
  rulebook: RulebookHead
  recalled: boolean
  confidence: Confidence
  reason: string
  /** How the standard itself decides; null where it leaves that open. */
  decides: DecidesByItself | null
}

/** The limit on another figure, or why there is none. */
export type ScalarAnswer = ScalarFound | NoFigureFound | CannotJudge
