import type { Mistake } from '../mistake'
import { PRACTICE_IDS } from '../practiceReview'

const NOISE_DBC = -86
/** So well the card has to know it, dB. */
const CLOSE_DB = 6

/** The second generator’s own noise falls into the channel. */
export const noisyGenerator: Mistake = {
  id: 'noisy-generator',
  title: `The interferer’s own noise, ${NOISE_DBC} dBc/Hz, was taken for what the receiver lets in`,
  needs: ['two-generators', 'receiving'],
  plant: world => {
    world.generator.noiseDbcPerHz = NOISE_DBC
    world.faces[PRACTICE_IDS.interferer] = `data sheet: ${NOISE_DBC} dBc/Hz at 12.5 kHz`.replace('-', '−')
  },
  caughtBy: ({ context }) => {
    const generator = context.instrument(PRACTICE_IDS.interferer)
    if (generator?.kind !== 'signal-generator') return null
    const worst = Math.max(-Infinity, ...generator.phaseNoise.map(({ dbcPerHz }) => dbcPerHz))
    return Math.abs(worst - NOISE_DBC) <= CLOSE_DB
      ? 'The generator’s noise is on its card: the figure is a lower bound.'
      : null
  },
  reveals:
    'Its data sheet. A rejection that is the same on both sides, whatever the radio, is the generator’s.',
  hint: 'Which of the two ends first: the radio’s filter, or the generator’s purity?',
}
