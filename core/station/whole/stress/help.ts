import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const stressHelp: StationHelp = {
  what: 'What a rough life does: antenna off while keyed, heat, a fall. It can destroy the radio.',
  wrong: ['No consent of the owner.', 'Power not read before: then nothing can be said after.'],
  how: [
    'Consent on record first.',
    'Power before and after, at the same station.',
    'Stop at smoke, smell or swelling; put the battery outside.',
  ],
}
