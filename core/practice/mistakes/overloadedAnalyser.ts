import { HARMONICS_ID } from '../../station'
import type { Mistake } from '../mistake'
import { PRACTICE_IDS } from '../practiceReview'
import { allReadAfter } from './lastTaken'

/** The analyser’s preamplifier is on: it makes harmonics of its own. */
export const overloadedAnalyser: Mistake = {
  id: 'overloaded-analyser',
  title: 'The analyser’s preamplifier was on: the second harmonic was its own',
  needs: ['analyser'],
  plant: world => {
    world.hands = { ...world.hands, preamplifier: true }
    world.faces[PRACTICE_IDS.analyser] = 'a small “PRE” beside the reference level'
  },
  caughtBy: ({ context: { review }, hands }) => {
    if (review.padTests.length > 0)
      return 'A pad test was done: what is real stays, what is made inside falls.'
    return !hands.preamplifier && allReadAfter(review, [HARMONICS_ID], hands.turnedAt.preamplifier)
      ? 'It was switched off, and what stands was read after it.'
      : null
  },
  reveals: 'The pad test: with 10 dB more in front the second harmonic falls by more than it may.',
  hint: 'Is that harmonic the radio’s? There is a test that costs one pad.',
}
