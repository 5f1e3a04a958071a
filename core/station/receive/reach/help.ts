import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const reachHelp: StationHelp = {
  what: 'Which signals are heard off the air, by which radio with which antenna, in the same place at the same time.',
  wrong: ['Minutes between two radios: the band has changed.', 'Another antenna, or another hand.'],
  how: [
    'Choose signals from loud to hardly there.',
    'All radios one after the other at each signal.',
    'Read the control radio too.',
  ],
}
