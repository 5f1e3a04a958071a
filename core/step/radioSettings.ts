import type { RadioSet } from '../review'
import type { RadioSetting } from './step'

/** Lines of the set-the-radio lists; each step shows only those that matter there. */
export const SETTINGS = {
  toneOff: { id: 'tone', words: 'Tone squelch off' },
  toneOn: { id: 'tone-on', words: 'Tone squelch on, for its own reading only' },
  dualWatchOff: { id: 'dual-watch', words: 'Dual watch off' },
  timeOutOff: { id: 'time-out', words: 'Time-out timer off' },
  narrow: { id: 'width', words: 'Narrow or wide as the channel spacing asks' },
  antenna: { id: 'antenna', words: 'Supplied antenna fitted, held as in use' },
  microphoneOut: { id: 'microphone', words: 'Microphone unplugged or covered' },
  usb: { id: 'sideband', words: 'Upper or lower sideband as used, clarifier in the middle' },
  cold: { id: 'cold', words: 'Off for half an hour or more' },
  warm: { id: 'warm', words: 'Warm: ten minutes on, keyed now and then' },
} as const satisfies Record<string, RadioSetting>

/** Battery or supply, as the set wants it. */
export function fullSupply(set: RadioSet): RadioSetting {
  return { id: 'supply', words: set.kind === 'mobile' ? 'Supply at its nominal voltage' : 'Battery full' }
}
