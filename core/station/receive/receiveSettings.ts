import { SETTINGS, type RadioSetting } from '../../step'

/** Lines of the set-the-radio list wherever it hears. */
export const HEARING_SETTINGS: readonly RadioSetting[] = [
  SETTINGS.dualWatchOff,
  SETTINGS.toneOff,
  { id: 'saving', words: 'Power saving off' },
  { id: 'volume', words: 'Volume where the speaker does not clip, left there' },
]
/** Squelch held open. */
export const SQUELCH_OPEN: RadioSetting = { id: 'squelch', words: 'Squelch open' }

/** Cautions wherever a generator stands at the radio’s socket. */
export const HEARING_CAUTIONS: readonly string[] = [
  'Never transmit into a generator: microphone unplugged, push-to-talk blocked. One press destroys it.',
  'Pads stand at the generator’s socket. A level of +93 typed for −93 destroys a receiver: look twice.',
  'Generators and radios leak. Below −115 dBm take the cable off, lay it beside: the SINAD must go away.',
]
