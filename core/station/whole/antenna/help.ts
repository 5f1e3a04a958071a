import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const antennaHelp: StationHelp = {
  what:
    'How well the antenna fits 50 Ω on its channels. A good match is no proof that it radiates: ' +
    'a dummy load matches best.',
  wrong: [
    'The hand, the table and the cable are part of a handheld’s antenna.',
    'A calibration made at another plane.',
    'A match taken for gain.',
  ],
  how: [
    'Hold it as it is used, over what it is used; note both.',
    'Calibrate at the connector.',
    'Bring in a Touchstone file, or type the figure at each channel.',
  ],
}
