import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const frequencyHelp: StationHelp = {
  what: 'How far the carrier is from where its display says, cold and warmed up.',
  wrong: [
    'The receiver’s own reference: ±2.5 ppm at 446 MHz are ±1.1 kHz.',
    'Reading in the first seconds after switching on, or only then.',
    'Taking a centre of a modulated signal for the carrier.',
  ],
  how: [
    'Unmodulated, cold first, then after some minutes of key-downs.',
    'Let counter or receiver warm up for half an hour.',
    'Where the reference is the larger doubt, read a second radio beside it.',
  ],
}
