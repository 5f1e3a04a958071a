import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const firmwareHelp: StationHelp = {
  what: 'Which version it runs, which ranges it can be made to transmit on, and who may use them.',
  wrong: ['An update that is interrupted leaves a brick.', 'A range that opens is no permission to use it.'],
  how: [
    'Note version and lock state before and after.',
    'Read the harmonics of both as two samples of one unit.',
    'Key an opened range only into a load.',
  ],
}
