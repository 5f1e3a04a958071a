import type { Speaks } from '../virtual'

/** What the radio does while something is read. */
export type RadioAs =
  | 'keyed'
  /** A tone at normal level at its microphone. */
  | 'keyed-with-tone'
  | 'keyed-loudest'
  | 'squelched'
  /** At the volume it is usually at. */
  | 'squelch-open'
  /** The same, turned up until a tenth of what comes out is distortion. */
  | 'rated-volume'

/** What a person does to have it so. */
interface Hands {
  isKeyed: boolean
  /** What is at its microphone. */
  speaks: Speaks
  words: string
}

const HANDS: Readonly<Record<RadioAs, Hands>> = {
  keyed: { isKeyed: true, speaks: 'nothing', words: 'key it, nothing at its microphone' },
  'keyed-with-tone': {
    isKeyed: true,
    speaks: 'tone',
    words: 'key it, 1 kHz at normal level at its microphone',
  },
  'keyed-loudest': {
    isKeyed: true,
    speaks: 'loudest',
    words: 'key it and have somebody shout or whistle into it',
  },
  squelched: { isKeyed: false, speaks: 'nothing', words: 'let it listen, its squelch closed' },
  'squelch-open': {
    isKeyed: false,
    speaks: 'nothing',
    words: 'open its squelch, the volume where it usually is',
  },
  'rated-volume': {
    isKeyed: false,
    speaks: 'nothing',
    words: 'turn the volume up until the distortion is 10 %',
  },
}

/** What a person does to have the radio so. */
export function handsFor(radio: RadioAs): Hands {
  return HANDS[radio]
}
