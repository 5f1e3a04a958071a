import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const offAirHelp: StationHelp = {
  what:
    'A look at what is radiated, with an antenna in place of a cable. ' +
    'It compares radios in the same place; it is no measurement of harmonics.',
  wrong: [
    'Calling a level off the air a figure in dBc: antenna, distance and room are in it.',
    'Moving anything between two radios, oneself included.',
    'A strong station nearby taken for the radio.',
  ],
  how: [
    'Same place, same antenna, same hands; note the geometry.',
    'Unkeyed first, all rows, then keyed.',
    'Say only which of two is stronger, and by how much.',
  ],
}
