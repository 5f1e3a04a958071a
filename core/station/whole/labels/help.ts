import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const labelsHelp: StationHelp = {
  what:
    'Whether what is printed agrees with itself: approval numbers on box, body and menu, ' +
    'battery and antenna labels, manual and box.',
  wrong: ['Copying from memory.', 'Two different models in one box.'],
  how: ['Letter by letter, from each place.', 'Take a picture of each label.'],
}
