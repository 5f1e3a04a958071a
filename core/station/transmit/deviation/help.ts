import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const deviationHelp: StationHelp = {
  what:
    'How far the voice moves the carrier. Too little sounds faint, ' +
    'too much spills into the next channel and is cut off by other receivers.',
  wrong: [
    'Peak and rms mixed up: 3 kHz peak are 2.1 kHz rms.',
    'The wrong channel spacing: 5 kHz are full deviation at 25 kHz, and twice too much at 12.5.',
    'A sub-audible tone switched on: it adds its own few hundred hertz.',
    'A tone that overdrives the microphone: the limiter is read, not the radio.',
  ],
  how: [
    'Tone squelch off, spacing as on the card.',
    '1 kHz at the microphone for most of full deviation, then as loud as a shout for the most there is.',
    'Bring in a recording of I and Q, or type the meter.',
    'The Bessel null gives a figure that no meter has to be believed for.',
  ],
}
