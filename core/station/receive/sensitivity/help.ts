import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const sensitivityHelp: StationHelp = {
  what:
    'How weak a signal may be before its audio drowns: most often the level at which signal, ' +
    'noise and distortion stand 12 dB above noise and distortion.',
  wrong: [
    'A generator labelled in emf read as pd: 6 dB.',
    'The generator leaks: the radio hears it past the cable.',
    'The generator beside the channel: a few hundred hertz cost a decibel.',
    'Tone squelch, battery saver or dual watch switched on.',
  ],
  how: [
    'Find where the receiver hears best first.',
    'Let the coach choose the next level: each reading tells most there.',
    'Stop when it says so; six readings mostly do.',
    'Do the leak check with the cable off.',
  ],
}
