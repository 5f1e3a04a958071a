import type { Mistake } from '../mistake'
import { PRACTICE_IDS } from '../practiceReview'
import { knowsTrueLoss } from './trueLoss'

const WORN_DB = 2.6

/** A pad that was cooked once loses more than is printed on it. */
export const wornPad: Mistake = {
  id: 'worn-pad',
  title: `The 30 dB pad was cooked once and loses ${WORN_DB} dB more than it says`,
  needs: ['analyser'],
  plant: world => {
    world.lossErrorDb[PRACTICE_IDS.bigPad] = WORN_DB
    world.faces[PRACTICE_IDS.bigPad] = '30 dB, 10 W; the paint is brown at one end'
  },
  caughtBy: input => knowsTrueLoss(input, PRACTICE_IDS.clean),
  reveals:
    'A path measured with generator and analyser; or a carrier on the analyser that lies below the meter’s.',
  hint: 'When was that pad last measured? Heat changes a pad for good.',
}
