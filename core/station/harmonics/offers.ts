import { judgePadTest } from '../../chain'
import { printDb } from '../../quantity'
import type { Offer, SlotResult, Step } from '../contract'
import type { StationContext } from '../stationContext'
import { harmonicOf } from './moments'

/** A carrier this near to overload may make harmonics inside the analyser, dB. */
const NEAR_OVERLOAD_DB = 10

/**
 * The pad test is offered when a verdict hangs on a harmonic the analyser itself might have made, and none is
 * on record for this chain.
 */
export function offersFor(step: Step, governs: SlotResult, context: StationContext): Offer[] {
  const { verdict, reading, slot } = governs
  const harmonic = harmonicOf(slot.id)
  if (!reading || harmonic === null || (verdict.state !== 'outside' && verdict.state !== 'too-close'))
    return []
  const chain = context.chain(reading.chainId)
  const instrument = chain && context.instrument(chain.instrumentId)
  if (instrument?.kind !== 'spectrum-analyser') return []
  const done = context.review.padTests.some(
    test =>
      test.chainId === reading.chainId &&
      test.harmonic === harmonic &&
      judgePadTest(test, instrument.floorDbm).outcome === 'radio',
  )
  if (done) return []
  const first = context.reading(step.set.id, step.id, 'x1')
  const nearDb = first ? instrument.overloadDbm - (first.levelDbm - chain!.offsetOnInstrumentDb) : null
  const near =
    nearDb !== null && nearDb < NEAR_OVERLOAD_DB
      ? ` The carrier comes within ${printDb(Math.max(0, nearDb), 0)} of where ${instrument.name} makes harmonics of its own.`
      : ''
  return [
    {
      id: 'pad-test',
      slotId: slot.id,
      words: `This verdict hangs on ${slot.label}. A pad test, ten decibels more in front and the same reading again, shows whether the radio makes it or the analyser.${near}`,
    },
  ]
}
