import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const carrierPowerHelp: StationHelp = {
  what:
    'How much power leaves the socket while the radio is keyed, into 50 Ω. ' +
    'It is held against what the maker prints on the box, level by level, and against what the law allows.',
  wrong: [
    'The offset of pads typed into the instrument, and counted a second time: 5 W turn into 500 W.',
    'A percentage of full scale taken for a percentage of reading: ' +
      'a 30 W meter with ±10 % of full scale knows 5 W only to ±3 W.',
    'A half-empty battery, or a supply that sags while keyed.',
    'A load or cable with a bad match: some power never arrives, and the meter shows it as if the radio had less.',
  ],
  how: [
    'Fill the battery, or set the supply to its nominal voltage under load.',
    'Key for a few seconds, read, let go. Powers of a handheld fall while it is warm.',
    'Read every level the box names on a low, a middle and a high channel.',
    'Type what the display shows; the chain puts the rest right.',
  ],
}
