import { SENSITIVITY_ID, SQUELCH_ID } from '../../station'
import type { Mistake } from '../mistake'
import { allReadAfter } from './lastTaken'

/** The radio waits for a tone the generator does not send. */
export const toneSquelch: Mistake = {
  id: 'tone-squelch',
  title: 'The tone squelch was on',
  needs: ['receiving'],
  plant: world => {
    world.hands = { ...world.hands, toneSquelch: true }
  },
  caughtBy: ({ context: { review }, hands }) =>
    !hands.toneSquelch && allReadAfter(review, [SENSITIVITY_ID, SQUELCH_ID], hands.turnedAt.toneSquelch)
      ? 'It was switched off, and what stands was read after it.'
      : null,
  reveals: 'No sound at any level. The set-the-radio list of the step asks for it.',
  hint: 'Go through the set-the-radio list of the step once more, at the radio.',
}
