import { judgePadTest } from '../../../chain'
import { printDb } from '../../../quantity'
import type { Context } from '../../../context'
import { INSTRUMENT_ROLE, isLevel, type Offer, type SlotResult, type Step } from '../../../step'
import { FIRST_LINE_SLOT } from '../carrierForLimit'
import { harmonicOf } from './harmonicSlots'
import { JudgedHarmonic } from './judgedHarmonic'

/** A carrier this near to overload may make harmonics inside the analyser, dB. */
const NEAR_OVERLOAD_DB = 10

/**
 * The pad test is offered when a verdict hangs on a harmonic the analyser itself might have made, and none is
 * on record for this chain.
 */
export function offersFor(step: Step, governs: SlotResult, context: Context): Offer[] {
  const { verdict, reading, slot } = governs
  const harmonic = harmonicOf(slot)
  if (!reading || harmonic === null || (verdict.state !== 'outside' && verdict.state !== 'too-close'))
    return []
  const chainId = reading.through[INSTRUMENT_ROLE]?.chainId ?? null
  const chain = context.chain(chainId)
  const instrument = chain && context.instrument(chain.instrumentId)
  if (instrument?.kind !== 'spectrum-analyser') return []
  const done = context.review.padTests.some(
    test =>
      test.chainId === chainId &&
      test.harmonic === harmonic &&
      judgePadTest(test, instrument.floorDbm).outcome === 'radio',
  )
  if (done) return []
  const first = context.reading(step.set.id, step.id, FIRST_LINE_SLOT)
  const nearDb =
    first && isLevel(first)
      ? instrument.overloadDbm - (first.seen.levelDbm - chain!.offsetOnInstrumentDb)
      : null
  const near =
    nearDb !== null && nearDb < NEAR_OVERLOAD_DB ? ` ${overloadWords(nearDb, instrument.name)}` : ''
  return [
    {
      id: 'pad-test',
      slotId: slot.id,
      words:
        `This verdict hangs on ${slot.label}. A pad test, ` +
        'ten decibels more in front and the same reading again, ' +
        `shows whether the radio makes it or the analyser.${near}`,
    },
  ]
}

/** How far the carrier is from overload, or over it. */
function overloadWords(belowDb: number, name: string): string {
  return belowDb < 0
    ? `The carrier is ${printDb(-belowDb, 0)} over the level where ${name} makes harmonics of its own.`
    : `The carrier comes within ${printDb(belowDb, 0)} of where ${name} makes harmonics of its own.`
}

/** Most offers of one kind at a step: more would bury what is asked. */
const MOST_OFFERS = 3

/** Where a reading counts otherwise in the rule’s bandwidth, and the verdict may hang on it: how to tell. */
export function bandwidthOffers(slots: readonly SlotResult[]): Offer[] {
  return slots
    .filter(result => result instanceof JudgedHarmonic && result.hangsOnBandwidth)
    .slice(0, MOST_OFFERS)
    .map(({ slot }) => ({
      id: 'bandwidth',
      slotId: slot.id,
      words:
        `${capital(slot.label)} was read in another bandwidth than the rule’s. ` +
        'Say whether it is a plain carrier or like noise, or read it in the rule’s bandwidth: ' +
        'a second bandwidth tells.',
    }))
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
