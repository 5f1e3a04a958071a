import { CARRIER_POWER_ID, POWER_OVER_TIME_ID, SENSITIVITY_ID, stations } from '../station'

/** What a reviewer wants to know first. */
export interface Wish {
  id: string
  title: string
  detail: string
  /** The station that is opened. */
  opens: string
  /** Stations wanted beyond those every review has. */
  also: readonly string[]
}

/** Wishes that can be chosen; nothing is hidden by any of them. */
export const wishes: readonly Wish[] = [
  {
    id: 'power',
    title: 'Does it make its power?',
    detail: 'carrier power, and how it holds',
    opens: CARRIER_POWER_ID,
    also: [POWER_OVER_TIME_ID],
  },
  {
    id: 'clean',
    title: 'Is it clean?',
    detail: 'power, then harmonics and spurs',
    opens: CARRIER_POWER_ID,
    also: [],
  },
  {
    id: 'hears',
    title: 'What does it hear?',
    detail: 'sensitivity with a generator',
    opens: SENSITIVITY_ID,
    also: [],
  },
  {
    id: 'all',
    title: 'All of it',
    detail: 'every test there is',
    opens: CARRIER_POWER_ID,
    also: stations.flatMap(({ id, optional }) => (optional === true ? [id] : [])),
  },
]
