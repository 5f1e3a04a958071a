import { HARMONICS_ID } from '../../station'
import type { Mistake } from '../mistake'
import { standingAt } from './lastTaken'

/** Two radios from one box, and only one of them is clean. */
export const secondSample: Mistake = {
  id: 'second-sample',
  title: 'The second sample is 20 dB dirtier than the first',
  needs: ['analyser', 'two-samples'],
  plant: world => {
    const [first, second] = world.review.sets
    if (first) world.radios[first.id] = { ...world.radios[first.id], harmonicsDbc: [-64, -68, -74, -76] }
    if (second) world.radios[second.id] = { ...world.radios[second.id], harmonicsDbc: [-44, -49, -62, -70] }
  },
  caughtBy: ({ context: { review } }) => {
    const second = review.sets[1]
    const isRead = standingAt(review, [HARMONICS_ID]).some(({ setId }) => setId === second?.id)
    return isRead ? 'Both samples were looked at.' : null
  },
  reveals: 'Harmonics of the second sample. One clean unit says little about a model.',
  hint: 'What do you know of the model, and what only of one unit?',
}
