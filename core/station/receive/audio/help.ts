import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const audioHelp: StationHelp = {
  what:
    'How much sound it makes into its rated load before it distorts, how quiet it is, ' +
    'and how it treats low and high tones.',
  wrong: [
    'One side of a bridge output grounded by the meter: it may be destroyed.',
    'The volume control at its end: distortion, not power.',
    'A sound card that was never calibrated in volts.',
  ],
  how: [
    'Rated load in place of the loudspeaker, a meter that floats.',
    '1 kHz at 60 % of full deviation, a strong signal.',
    'Turn up until distortion is what the box names.',
  ],
}
