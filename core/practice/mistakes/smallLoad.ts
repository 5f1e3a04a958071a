import type { Mistake } from '../mistake'
import { PRACTICE_IDS } from '../practiceReview'

const BEARS_W = 2

/** The load bears less than its card says. */
export const smallLoad: Mistake = {
  id: 'small-load',
  title: `The load bears ${BEARS_W} W for long, not what its card says: kept keyed, it burnt`,
  needs: ['meter'],
  plant: world => {
    world.loadBearsW = BEARS_W
    world.faces[PRACTICE_IDS.load] = `a sticker under the dust: “${BEARS_W} W”`
  },
  caughtBy: ({ context }) => {
    const load = context.chain(PRACTICE_IDS.power)?.parts.find(({ id }) => id === PRACTICE_IDS.load)
    if (!load) return 'Another load stands in its place.'
    return load.ratingW !== null && load.ratingW <= BEARS_W ? 'The load’s card says what it bears.' : null
  },
  reveals: 'Its sticker. A power that falls by 2.5 dB within half a minute and never comes back.',
  hint: 'What is that little black load good for, and for how long?',
}
