/** What the bench must have for the two-tone test, ticked off before the first reading. */
export const TWO_TONE_EQUIPMENT: readonly { id: string; words: string }[] = [
  { id: 'tones', words: 'Two audio generators, 700 and 1900 Hz (or 700 and 1700), not harmonically related' },
  {
    id: 'equal',
    words: 'Both tones equal to within half a dB, their own products 20 dB below what is expected',
  },
  {
    id: 'interface',
    words:
      'Isolating interface into the microphone socket: no ground loop, level low enough that nothing clips',
  },
  { id: 'load', words: 'Load rated for the mean power, half of the peak envelope power' },
  { id: 'meter', words: 'Meter that reads peak envelope power, or mean power (then PEP is twice that)' },
  {
    id: 'receiver',
    words:
      'Receiver or analyser driven so low that its own products lie 10 dB under the radio’s: ' +
      '10 dB more in front, and the products must fall by no more than 10 dB',
  },
  { id: 'rate', words: 'Receiver at its lowest useful sample rate, for more effective bits' },
]
