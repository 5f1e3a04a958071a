import { printFrequencyShort, printWatts } from '../quantity'
import { isPowerLimit, scalarWords } from './demandsOf'
import { powerLimitWords } from './powerLimitDbm'
import {
  type Conditions,
  type Confidence,
  type LimitClause,
  type Quantity,
  RECEIVER_METHOD_TITLES,
  type Rulebook,
} from './types'

/** One line of a rulebook, in words. */
export interface ClauseLine {
  id: string
  clause: string
  about: string
  when: string
  asks: string
  /** `H`, `M`, `L`; empty where nothing was recalled. */
  confidence: Confidence | ''
  /** Switched off: too vague to judge by. */
  off: boolean
}

/** The quantities in words. */
export const quantityWords: Readonly<Record<Quantity, string>> = {
  unwanted: 'harmonics and spurs',
  'adjacent-power': 'adjacent channel power',
  'carrier-power': 'carrier power',
  'power-tolerance': 'power against its rating',
  'frequency-error': 'frequency error',
  deviation: 'deviation',
  'occupied-bandwidth': 'bandwidth',
  sensitivity: 'sensitivity',
  'co-channel': 'co-channel rejection',
  'adjacent-selectivity': 'adjacent channel selectivity',
  'spurious-response': 'spurious response',
  intermodulation: 'intermodulation response',
  blocking: 'blocking',
  hysteresis: 'squelch hysteresis',
  'time-out': 'time-out timer',
}

/** A rulebook as lines to read before testing. */
export function clauseWords(rulebook: Rulebook): ClauseLine[] {
  return [
    ...rulebook.clauses.map(clause => ({
      id: clause.id,
      clause: clause.clause,
      about: quantityWords[clause.about],
      when: conditionsInWords(clause.when),
      asks: asksInWords(clause),
      confidence: clause.recalled ? clause.confidence : ('' as const),
      off: clause.confidence === 'L',
    })),
    ...rulebook.noFigure.map((entry, index) => ({
      id: `none-${index}`,
      clause: entry.clause,
      about: quantityWords[entry.about],
      when: rangeWords(entry.carrierHz),
      asks: entry.words,
      confidence: '' as const,
      off: false,
    })),
  ]
}

/** What a clause asks, in words. */
function asksInWords(clause: LimitClause): string {
  const words = isPowerLimit(clause.limit) ? powerLimitWords(clause.limit) : scalarWords(clause.limit)
  return `${words}${clause.basis === 'erp' ? ', radiated (ERP)' : ''}`
}

function conditionsInWords(when: Conditions): string {
  return (
    [
      ...(when.carrierHz
        ? [
            when.carrierHz.length > 3
              ? `${when.carrierHz.length} ranges of the carrier`
              : when.carrierHz.map(rangeWords).join(', '),
          ]
        : []),
      ...(when.channelsHz
        ? [
            when.channelsHz.length > 2
              ? `${when.channelsHz.length} channels from ${printFrequencyShort(Math.min(...when.channelsHz))}`
              : when.channelsHz.map(printFrequencyShort).join(', '),
          ]
        : []),
      ...(when.powerW
        ? [
            when.powerW[1] === null
              ? `above ${printWatts(when.powerW[0], 2)}`
              : `up to ${printWatts(when.powerW[1], 2)}`,
          ]
        : []),
      ...(when.modes ? [when.modes.join(', ')] : []),
      ...(when.channelSpacingHz
        ? [`${when.channelSpacingHz.map(printFrequencyShort).join(' or ')} channels`]
        : []),
      ...(when.kinds ? [when.kinds.join(', ')] : []),
      ...(when.methods
        ? [`by ${when.methods.map(method => RECEIVER_METHOD_TITLES[method]).join(' or ')}`]
        : []),
      ...(when.state === 'standby' ? ['not transmitting'] : []),
      ...(when.harmonicsOnly ? ['harmonics'] : []),
      ...(when.fromCarrierTimes ? [`from ${when.fromCarrierTimes} × the carrier up`] : []),
      ...(when.awayHz ? [`${printFrequencyShort(when.awayHz)} from the carrier and further`] : []),
      ...(when.levels ? [`${when.levels.join(' or ')} power level`] : []),
    ].join('; ') || 'any'
  )
}

function rangeWords([fromHz, toHz]: [number, number]): string {
  return toHz >= 299e9
    ? `above ${printFrequencyShort(Math.round(fromHz / 1e3) * 1e3)}`
    : `${printFrequencyShort(fromHz)} to ${printFrequencyShort(Math.round(toHz))}`
}
