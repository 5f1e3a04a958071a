import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const twoToneHelp: StationHelp = {
  what: 'What an SSB or AM transmitter adds when two tones are sent at once: its linearity.',
  wrong: [
    'Levels against one tone or against the peak of both: 6 dB apart.',
    'The two generators, or the sound card, distort themselves.',
    'The tones at different strength.',
  ],
  how: [
    'Two tones of equal strength that have no simple ratio, as 700 and 1900 Hz.',
    'Raise them until the set reaches its rated peak power.',
    'Say by which school the figure is told.',
  ],
}
