import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const insideHelp: StationHelp = {
  what: 'Adjusting a set that is made to be adjusted: before, while, after.',
  wrong: ['Turning a core until it breaks.', 'Adjusting for more power than the approval allows.'],
  how: [
    'Only where the law lets you, with the service manual.',
    'Read before, set to the aim, read after at the same stations.',
    'Mains and charged capacitors: hands off what you do not know.',
  ],
}
