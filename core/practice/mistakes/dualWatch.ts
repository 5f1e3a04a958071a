import { SENSITIVITY_ID } from '../../station'
import type { Mistake } from '../mistake'
import { allReadAfter } from './lastTaken'

/** The radio looks at its other channel again and again. */
export const dualWatch: Mistake = {
  id: 'dual-watch',
  title: 'Dual watch was on: every third look was at another channel',
  needs: ['receiving'],
  plant: world => {
    world.hands = { ...world.hands, dualWatch: true }
  },
  caughtBy: ({ context: { review }, hands }) =>
    !hands.dualWatch && allReadAfter(review, [SENSITIVITY_ID], hands.turnedAt.dualWatch)
      ? 'It was switched off, and what stands was read after it.'
      : null,
  reveals: 'SINAD that jumps to nothing and back while nothing is turned.',
  hint: 'A reading that jumps has a reason. What does the radio do between two of them?',
}
