import type { Mistake } from '../mistake'
import { PRACTICE_IDS } from '../practiceReview'

/** The generator’s microvolts are emf, and the card says pd. */
export const generatorEmf: Mistake = {
  id: 'generator-emf',
  title: 'The generator is labelled in emf: every level reached the radio 6 dB lower than the card said',
  needs: ['receiving'],
  plant: world => {
    world.generator.isEmf = true
    world.faces[PRACTICE_IDS.generator] = 'the knob reads “µV EMF”'
  },
  caughtBy: ({ context }) => {
    const generator = context.instrument(PRACTICE_IDS.generator)
    return generator?.kind === 'signal-generator' && generator.voltageIs === 'emf'
      ? 'The generator’s card says emf now.'
      : null
  },
  reveals: 'What is printed beside the knob. A sensitivity twice as bad as it should be is a reason to look.',
  hint: 'A microvolt is not always a microvolt. What does the generator mean by it?',
}
