import { SENSITIVITY_ID } from '../../station'
import type { Mistake } from '../mistake'
import { standingAt } from './lastTaken'

const OFF_HZ = 900
/** Looks beside the channel that make a check. */
const LOOKS = 3

/** The generator stands beside its frequency. */
export const generatorOff: Mistake = {
  id: 'generator-off',
  title: `The generator’s reference is off: ${OFF_HZ} Hz at this channel`,
  needs: ['receiving'],
  plant: world => {
    world.generator.offHz = OFF_HZ
  },
  caughtBy: ({ context: { review } }) => {
    const looks = standingAt(review, [SENSITIVITY_ID]).filter(({ slot }) => /^f-?\d+$/.test(slot))
    return looks.length >= LOOKS
      ? 'It was looked for beside the channel: the best place is not in its middle.'
      : null
  },
  reveals: 'The on-frequency check: SINAD is best beside the channel, by about what the generator is off.',
  hint: 'Is the radio on its frequency, or the generator? Look a kilohertz to each side before you step down.',
}
