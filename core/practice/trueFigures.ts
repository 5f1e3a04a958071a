import { spacingOf } from '../band'
import {
  AUDIO_ID,
  CARRIER_POWER_ID,
  CARRIER_SLOT,
  DEVIATION_ID,
  handsFor,
  HARMONICS_ID,
  logMomentOf,
  NEIGHBOUR_ID,
  POWER_OVER_TIME_ID,
  radioForSwing,
  SENSITIVITY_ID,
  SQUELCH_ID,
  STRONG_ID,
} from '../station'
import type { Slot, Step } from '../step'
import { PRACTICE_LEVEL, PRACTICE_W } from './practiceReview'
import { type Keyed, levelForSinad, SPEAKER_LOAD_OHM, type VirtualRadio } from '../virtual'

/** What a slot of a step truly is, in the unit its result comes in; null where the bench has no truth of it. */
type TrueFigure = (slot: Slot, radio: VirtualRadio, step: Step) => number | null

const keyedAt = (step: Step): Keyed => ({
  carrierHz: step.channel.frequencyHz,
  claimedW: PRACTICE_W,
  levelId: PRACTICE_LEVEL,
})

const CRITERIA_DB: Readonly<Record<string, number>> = { 'sinad-12': 12, 'sinad-20': 20 }

/** Truths of stations; one without any is left out of the envelope. */
const TRUTHS: Readonly<Record<string, TrueFigure>> = {
  [CARRIER_POWER_ID]: (slot, radio, step) =>
    slot.id === CARRIER_SLOT ? radio.carrierDbm(keyedAt(step)) : null,
  [HARMONICS_ID]: (slot, radio, step) =>
    slot.kind.is === 'harmonic' && slot.kind.moment === 'settled'
      ? radio.harmonicDbm(keyedAt(step), Number(slot.kind.n))
      : null,
  [POWER_OVER_TIME_ID]: (slot, radio, step) => {
    const forS = logMomentOf(slot)
    return forS === null ? null : radio.carrierDbm({ ...keyedAt(step), forS })
  },
  [SENSITIVITY_ID]: (slot, { hearing }) => {
    const db = CRITERIA_DB[slot.id]
    return db === undefined ? null : levelForSinad(hearing, db)
  },
  [SQUELCH_ID]: (slot, { hearing: { squelchDbm } }) => {
    if (slot.kind.is === 'opens') return squelchDbm.open
    return slot.kind.is === 'hysteresis' ? squelchDbm.open - squelchDbm.close : null
  },
  [NEIGHBOUR_ID]: (slot, { hearing: { rejectionDb } }) =>
    slot.id === 'rejection-tia' ? Math.min(rejectionDb.lower, rejectionDb.upper) : null,
  [STRONG_ID]: (slot, { hearing: { blockingDb } }) =>
    slot.kind.is === 'blocking' ? Math.min(blockingDb.below, blockingDb.above) : null,
  [DEVIATION_ID]: (slot, radio, step) => {
    const does = radioForSwing(slot)
    if (!does) return null
    const { speaks } = handsFor(does)
    return radio.deviationHz({ ...keyedAt(step), spacingHz: spacingOf(step.band), speaks })
  },
  [AUDIO_ID]: (slot, { speaker: { ratedV } }) =>
    slot.kind.is === 'power' ? ratedV ** 2 / SPEAKER_LOAD_OHM : null,
}

/** What a slot truly is; null where nobody knows. */
export function trueFigure(stationId: string, slot: Slot, radio: VirtualRadio, step: Step): number | null {
  return TRUTHS[stationId]?.(slot, radio, step) ?? null
}

/** Whether an evening knows a truth of a station. */
export function hasTruth(stationId: string): boolean {
  return TRUTHS[stationId] !== undefined
}
