import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const squelchHelp: StationHelp = {
  what: 'At which level the squelch opens and closes, and the gap between the two.',
  wrong: [
    'Going past the point and back: opening and closing are not the same level.',
    'Tone squelch switched on.',
    'A squelch that waits before it opens: steps taken too fast.',
  ],
  how: [
    'Up in small steps until it opens, down until it closes: that is one round.',
    'Two or three rounds for each setting.',
    'The gap needs no level accuracy: what both share cancels.',
  ],
}
