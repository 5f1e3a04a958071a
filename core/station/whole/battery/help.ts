import type { StationHelp } from '../../help'

/** Why and how, in our own words. */
export const batteryHelp: StationHelp = {
  what: 'What it draws in each state, how long it lasts, and whether the battery holds what its label says.',
  wrong: [
    'A label whose volts, ampere-hours and watt-hours contradict each other.',
    'Discharging below what the cells bear.',
    'A meter whose burden sags the supply.',
  ],
  how: [
    'Currents squelched, receiving, keyed at each level.',
    'A timed discharge with a steady load, ended at the voltage the maker names.',
    'Lithium cells: never unattended, never below their limit, on something that does not burn.',
  ],
}
