/** How sure we are of a figure: H sure, M likely, L vague. L never gives a verdict. */
export type Confidence = 'H' | 'M' | 'L'

/** One demand a clause makes on an unwanted emission. */
export type Demand =
  | { kind: 'absolute'; powerW: number }
  | { kind: 'relative'; attenuationDb: number }

/** A clause with its conditions and what it asks. */
export interface LimitClause {
  id: string
  clause: string
  /** recalled values say so beside every verdict. */
  recalled: boolean
  confidence: Confidence
  /** Frequency of the fundamental, from inclusive; `toHz` inclusive as well. */
  carrier: { fromHz: number; toHz: number }
  /** Mean power of the fundamental: above `aboveW`, up to and with `upToW`. */
  power: { aboveW: number; upToW: number }
  /** All of them apply at once (“and”): the strictest holds. */
  demands: Demand[]
  /** “need not be reduced below”: the limit never falls under this power. */
  needNotBeBelowW: number | null
}

/** Where a rulebook says in words that there is no figure. */
export interface NoFigureClause {
  clause: string
  carrier: { fromHz: number; toHz: number }
  /** Sentence for the person at the bench. */
  words: string
}

export interface ServiceBand {
  name: string
  fromHz: number
  toHz: number
}

/** A rulebook: data, with one evaluator for all of them. */
export interface Rulebook {
  id: string
  title: string
  jurisdiction: string
  edition: string
  /** `law` gives a verdict against law; `yardstick` is the reviewer's own and always labelled so. */
  standing: 'law' | 'yardstick'
  /** Bands of the service; a carrier outside them is not this rulebook's business. Empty: any. */
  bands: ServiceBand[]
  limits: LimitClause[]
  noFigure: NoFigureClause[]
}

/** The fundamental a limit is asked for. */
export interface CarrierFacts {
  frequencyHz: number
  /** Mean power, W. */
  powerW: number
}

/** What each demand of the governing clause would have asked, dBm. */
export interface DemandAnswer {
  words: string
  limitDbm: number
  governs: boolean
}

/** A limit with its reason. */
export interface LimitFound {
  kind: 'limit'
  limitDbm: number
  /** d(limit)/d(carrier power), dB per dB: 1 where the limit follows the carrier, 0 where it stands still. */
  slope: number
  clause: string
  rulebook: { id: string; title: string; edition: string; standing: Rulebook['standing'] }
  recalled: boolean
  confidence: Confidence
  /** The reason in sentences, figures filled in. */
  reason: string
  demands: DemandAnswer[]
}

/** There is no figure, and why. */
export interface NoFigureFound {
  kind: 'no-figure'
  clause: string
  rulebook: LimitFound['rulebook']
  reason: string
}

export type LimitAnswer = LimitFound | NoFigureFound
