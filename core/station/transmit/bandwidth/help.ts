import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const bandwidthHelp: StationHelp = {
  what: 'How much room the signal takes with voice on it, and how much falls into the channels beside it.',
  wrong: [
    'Reading it without modulation.',
    'A receiver that clips, or whose own noise is the floor.',
    'A filter of another width than the rule names.',
  ],
  how: [
    'The standard tone at the level that gives most deviation, or noise shaped as voice.',
    'Record a few seconds of I and Q with headroom.',
    'The 99 % width and both neighbours are found from the recording.',
  ],
}
