import type { Mistake } from '../mistake'
import { PRACTICE_IDS } from '../practiceReview'
import { knowsTrueLoss } from './trueLoss'

const MISSING_DB = -10

/** The pad that is plugged in is another one than the card says. */
export const wrongPad: Mistake = {
  id: 'wrong-pad',
  title: 'The pad taken for 30 dB is one of 20 dB',
  needs: ['analyser'],
  plant: world => {
    world.lossErrorDb[PRACTICE_IDS.bigPad] = MISSING_DB
    world.faces[PRACTICE_IDS.bigPad] = 'borrowed; the label is rubbed off'
  },
  caughtBy: input => knowsTrueLoss(input, PRACTICE_IDS.clean),
  reveals:
    'The carrier comes out ten times too strong; measuring the path, or the meter beside it, shows the pad.',
  hint: 'Two instruments should agree about the same carrier. Do they? The path can be measured.',
}
