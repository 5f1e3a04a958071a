import { accuracyInWords, chainContributions, chainLossAt, instrumentContributions, reachAt } from '../chain'
import { printDb, printDbm, printSigned } from '../quantity'
import type { Reading } from '../review'
import { type Budget, budget, contribution, type Contribution, floorEffect, steppedTraceLossDb } from '../uncertainty'
import type { StationContext } from './stationContext'

/** A reading taken back to the radio's socket. */
export interface CorrectedReading {
  levelDbm: number
  /** Level at the instrument's connector, without any offset typed on it. */
  atInstrumentDbm: number
  lossDb: number
  budget: Budget
  isUpperBound: boolean
  /** How the figure was arrived at, in words. */
  notes: string[]
}

/** Why a reading could not be corrected. */
export interface NotCorrected {
  why: string
}

/**
 * Takes a reading back to the socket: display less the offset typed on the instrument, plus the loss of
 * the chain at that frequency, less the noise it holds; with the budget of what that leaves open.
 */
export function correctReading(reading: Reading, context: StationContext): CorrectedReading | NotCorrected {
  return context.once(`corrected:${reading.id}`, () => correct(reading, context))
}

function correct(reading: Reading, context: StationContext): CorrectedReading | NotCorrected {
  const chain = context.chain(reading.chainId)
  if (!chain) return { why: 'The chain this reading was taken through is no longer on the bench.' }
  const instrument = context.instrument(chain.instrumentId)
  if (!instrument) return { why: `The chain “${chain.name}” has no instrument.` }
  const reach = reachAt(chain, instrument, reading.frequencyHz)
  if (!reach.covered) return { why: reach.why }
  const loss = chainLossAt(chain, instrument, reading.frequencyHz)
  if (!loss.known) return { why: loss.why }

  const notes: string[] = []
  const displayed = reading.levelDbm - chain.offsetOnInstrumentDb
  if (chain.offsetOnInstrumentDb !== 0) notes.push(`The instrument adds ${printSigned(chain.offsetOnInstrumentDb, 2)} dB; taken off again.`)
  const contributions: Contribution[] = [
    ...instrumentContributions(instrument, { atInstrumentDbm: displayed, resolutionDb: reading.resolutionDb }),
    ...chainContributions(chain, instrument, reading.frequencyHz),
  ]
  let atInstrumentDbm = displayed
  let isUpperBound = reading.isUpperBound
  if (instrument.kind === 'spectrum-analyser' && !isUpperBound) {
    const floorDbm = Math.max(instrument.floorDbm, reading.traceFloorDbm === null ? -Infinity : reading.traceFloorDbm - chain.offsetOnInstrumentDb)
    const floor = floorEffect({ readingDbm: displayed, floorDbm, floorDoubtDb: instrument.floorDoubtDb })
    atInstrumentDbm -= floor.correctionDb
    isUpperBound = floor.isUpperBound
    if (floor.isUpperBound) notes.push(`Within 3 dB of the noise at ${printDbm(floorDbm, 0)}: the true level is at most this.`)
    else if (floor.correctionDb > 0) notes.push(`Stands ${printDb(floor.aboveFloorDb)} above the noise; ${printDb(floor.correctionDb, 2)} of noise taken off.`)
    if (floor.remainderDb > 0)
      contributions.push(contribution({ id: 'floor', group: 'floor', label: 'Noise floor', distribution: 'rectangular', halfWidthDb: floor.remainderDb }))
  }
  if (reading.doubt?.kind === 'stepped-trace') {
    const halfWidthDb = steppedTraceLossDb(reading.doubt.stepHz, reading.doubt.resolutionBandwidthHz)
    contributions.push(contribution({ id: 'steps', group: 'steps', label: 'Between the trace’s points', distribution: 'rectangular', halfWidthDb }))
  }
  if (instrument.assumed) notes.push(`The accuracy of ${instrument.name} (${accuracyInWords(instrument)}) is assumed, not stated by anybody.`)
  return { levelDbm: atInstrumentDbm + loss.lossDb, atInstrumentDbm, lossDb: loss.lossDb, budget: budget(contributions), isUpperBound, notes }
}

/** True for a reading that could be corrected. */
export function isCorrected(answer: CorrectedReading | NotCorrected): answer is CorrectedReading {
  return 'levelDbm' in answer
}
