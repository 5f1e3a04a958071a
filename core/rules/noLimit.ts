import { perIdentity } from '../cache'
import { printFrequencyShort, printMhz } from '../quantity'
import type {
  Rulebook,
  RulebookHead,
  CarrierFacts,
  NoFigureFound,
  Quantity,
  MissingFact,
  LimitClause,
  CannotJudge,
} from './types'

/** Returns what every limit says of its rulebook. */
export const headOf = perIdentity(({ id, title, edition, standing, owner }: Rulebook): RulebookHead => ({
  id,
  title,
  edition,
  standing,
  owner,
}))

/** The answer of a rulebook none of whose bands holds the carrier, Hz; null where one does. */
export function outOfService(rulebook: Rulebook, carrier: CarrierFacts): NoFigureFound | null {
  if (
    rulebook.bands.length === 0 ||
    rulebook.bands.some(band => carrier.frequencyHz >= band.fromHz && carrier.frequencyHz <= band.toHz)
  )
    return null
  return {
    kind: 'no-figure',
    clause: rulebook.title,
    rulebook: headOf(rulebook),
    get reason() {
      return (
        `${printMhz(carrier.frequencyHz)} lies in no band of ${rulebook.title}, ` +
        'so its rules do not speak of this carrier. Another rulebook may.'
      )
    },
  }
}

/** The answer of a rulebook without a figure on this quantity: its own words for that, or that it is silent. */
export function noFigure(rulebook: Rulebook, carrier: CarrierFacts, about: Quantity): NoFigureFound {
  const silent = rulebook.noFigure.find(
    entry =>
      entry.about === about &&
      carrier.frequencyHz >= entry.carrierHz[0] &&
      carrier.frequencyHz <= entry.carrierHz[1],
  )
  const vague = rulebook.clauses.find(clause => clause.about === about && clause.confidence === 'L')
  return {
    kind: 'no-figure',
    clause: silent?.clause ?? vague?.clause ?? rulebook.title,
    rulebook: headOf(rulebook),
    reason:
      silent?.words ??
      (vague
        ? `${vague.clause} has a figure, but it is recalled too vaguely to judge by (confidence L). ` +
          'Put the current text into a rulebook of your own.'
        : `${rulebook.title} sets no figure for a carrier on ${printMhz(carrier.frequencyHz)}.`),
  }
}

/** The answer where an emission stands so near the carrier that it is no spurious one. */
export function outOfBand(
  rulebook: Rulebook,
  { emissionHz, awayHz }: { emissionHz: number; awayHz: number },
): NoFigureFound {
  return {
    kind: 'no-figure',
    clause: rulebook.title,
    rulebook: headOf(rulebook),
    get reason() {
      return (
        `${printMhz(emissionHz)} stands nearer than ${printFrequencyShort(awayHz)} to the ` +
        'carrier: that is out-of-band, and the limit on spurious emissions does not speak of it.'
      )
    },
  }
}

const ASKS: Record<MissingFact, string> = {
  'antenna-gain':
    'the gain of the antenna (its rule counts radiated power, which cannot be judged from the socket alone)',
  'channel-spacing': 'the channel spacing',
  mode: 'the mode (FM, AM or SSB)',
}

/** The answer of a clause that wants facts the card does not give. */
export function cannotJudge(rulebook: Rulebook, clause: LimitClause, asks: MissingFact[]): CannotJudge {
  return {
    kind: 'cannot-judge',
    asks,
    clause: clause.clause,
    rulebook: headOf(rulebook),
    reason: `${clause.clause} cannot be applied before the card says ${asks.map(ask => ASKS[ask]).join(' and ')}.`,
  }
}
