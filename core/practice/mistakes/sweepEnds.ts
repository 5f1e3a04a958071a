import type { Mistake } from '../mistake'
import { PRACTICE_IDS } from '../practiceReview'

const ENDS_HZ = 500e6

/** The analyser hears nothing above half of what its card says. */
export const sweepEnds: Mistake = {
  id: 'sweep-ends',
  title: 'The analyser ends at 500 MHz; its card says more. What lies above was never seen',
  needs: ['analyser'],
  plant: world => {
    world.analyserEndsHz = ENDS_HZ
    world.faces[PRACTICE_IDS.analyser] = 'input: “100 kHz to 500 MHz”'
  },
  caughtBy: ({ context }) =>
    (context.instrument(PRACTICE_IDS.analyser)?.toHz ?? 0) <= ENDS_HZ
      ? 'The analyser’s card ends where it does: what lies above is “not covered”.'
      : null,
  reveals:
    'What is printed beside its input. A row of harmonics that all lie on the noise is a reason to look.',
  hint: 'Four harmonics in a row on the noise: clean, or not seen?',
}
