import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const harmonicsHelp: StationHelp = {
  what:
    'What leaves the socket at twice, three times … ten times the frequency, ' +
    'and anywhere else it should not. This is what disturbs other services, and what the law limits most strictly.',
  wrong: [
    'An analyser that is overloaded makes harmonics of its own: put in 10 dB more, ' +
      'and they must fall by 10 dB, not by 20 or 30.',
    'The floor of the instrument called clean: what cannot be seen is not covered.',
    'A limit in dBc applied without its other half, a power in µW.',
    'A pad good to 1 GHz used at 3 GHz, a sweep that ends before ×10.',
  ],
  how: [
    'Pads first, from the radio side; look at the damage level before you key.',
    'Read the carrier as ×1, then each harmonic at its own frequency.',
    'Where a reading is near the floor, narrow the bandwidth.',
    'Where it is near the limit, do the pad test.',
    'Look once with the radio unkeyed: what is there anyway is not the radio’s.',
  ],
}
