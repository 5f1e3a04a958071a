import { HARMONICS_ID } from '../../station'
import type { Mistake } from '../mistake'
import { PRACTICE_HZ } from '../practiceReview'
import { standingAt } from './lastTaken'

/** Somebody else transmits on a harmonic. */
export const ambientCarrier: Mistake = {
  id: 'ambient-carrier',
  title: 'What stands at the third harmonic is somebody else’s transmitter',
  needs: ['analyser'],
  plant: world => {
    world.ambient.push({ frequencyHz: 3 * PRACTICE_HZ, levelDbm: -52 })
  },
  caughtBy: ({ context: { review } }) =>
    standingAt(review, [HARMONICS_ID]).some(({ slot }) => slot.endsWith(':ambient'))
      ? 'It was looked at with the radio unkeyed.'
      : null,
  reveals: 'A sweep with the radio unkeyed: the line stays.',
  hint: 'Is it there when you let go of the key?',
}
