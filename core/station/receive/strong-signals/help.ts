import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const strongSignalsHelp: StationHelp = {
  what:
    'What strong signals far away, or two at once, do to reception; ' +
    'and whether the receiver survives a very strong one.',
  wrong: [
    'The generator’s noise again.',
    'Two generators that modulate each other through the combiner.',
    'Reading beyond what the receiver bears: this station can destroy an input.',
  ],
  how: [
    'Blocking at its offsets, each with its ceiling.',
    'For two signals put pads in both arms.',
    'Survival only with the owner’s consent, in steps, sensitivity before and after.',
  ],
}
