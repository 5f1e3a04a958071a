import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const powerOverTimeHelp: StationHelp = {
  what:
    'Whether the power holds while the key is kept down. ' +
    'Small sets fold back when they get warm, and some drop to half after a minute.',
  wrong: [
    'Beginning with a warm radio: the fall has already happened.',
    'Noting the times from memory.',
    'Taking the sag of a weak battery for the radio’s own fold-back.',
  ],
  how: [
    'Begin cold, with a full battery or a stiff supply.',
    'Space starts the clock; the moment that is due is the field in hand.',
    'Late and early count as they were.',
    'Stop when the case is too hot to hold: the maker’s own limit goes before ours.',
  ],
}
