import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const byEarHelp: StationHelp = {
  what: 'What listeners prefer when they do not know which radio plays.',
  wrong: [
    'The louder one is liked better: both must be equally loud.',
    'Knowing which is which.',
    'A few rounds taken for a result: five of five happen by chance once in thirty-two.',
  ],
  how: [
    'Clips of the same voice and signal, some ten seconds.',
    'Blind, in drawn order, at equal loudness.',
    'Ten rounds and more; the page says what guessing would do.',
  ],
}
