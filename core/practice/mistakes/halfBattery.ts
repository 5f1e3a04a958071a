import { CARRIER_POWER_ID, HARMONICS_ID, POWER_OVER_TIME_ID } from '../../station'
import type { Mistake } from '../mistake'
import { allReadAfter } from './lastTaken'

/** The pack is half empty. */
export const halfBattery: Mistake = {
  id: 'half-battery',
  title: 'The battery was half empty: 1.4 dB of power are missing that are not the radio’s fault',
  needs: ['meter'],
  plant: world => {
    world.hands = { ...world.hands, battery: 'half' }
  },
  caughtBy: ({ context: { review }, hands }) =>
    hands.battery === 'full' &&
    allReadAfter(review, [CARRIER_POWER_ID, HARMONICS_ID, POWER_OVER_TIME_ID], hands.turnedAt.battery)
      ? 'It was charged, and what stands was read after it.'
      : null,
  reveals: 'The volts of the pack: 7.1 where 8.2 belong. The step asks for a full battery.',
  hint: 'A radio can only give what its pack gives. What do its volts say?',
}
