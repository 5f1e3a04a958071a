import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const neighbourHelp: StationHelp = {
  what: 'How strong a signal in the next channel may be before it spoils reception.',
  wrong: [
    'The generator’s own phase noise falls into the channel: then the generator is measured, ' +
      'and the figure is a lower bound.',
    'One side only.',
    'Figures of two procedures compared as if they were one.',
  ],
  how: [
    '12 dB SINAD first, then the wanted signal 3 dB up.',
    'Raise the neighbour until SINAD is back at 12 dB; both sides.',
    'Name the procedure.',
  ],
}
