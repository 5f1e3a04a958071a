import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const displayHelp: StationHelp = {
  what: 'Whether the bars on its display follow anything.',
  wrong: [
    'A bar that shows the power switch, not the power.',
    'An S-meter read without knowing the level at the socket.',
  ],
  how: ['Each power level, with the bar beside the watts.', 'S-steps from a generator, up and down.'],
}
