import { INSTRUMENT_ROLE, type Roles } from '../../step'

/** What reads a signal: an I/Q receiver, else an analyser. */
export const RECEIVER_ROLES: Roles = {
  [INSTRUMENT_ROLE]: {
    title: 'Receiver or analyser',
    instruments: ['receiver', 'spectrum-analyser'],
    signal: 'from-radio',
  },
}
