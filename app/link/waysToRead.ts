import type { InstrumentLink } from './links'
import type { ServerInstrument } from './serverLink'

/** One way an instrument can be read, as a list shows it. */
export interface WayToRead {
  value: string
  title: string
}

/** What a list of ways to read is made of. */
export interface Reachable {
  /** How the instrument is read now; null while it is typed. */
  link: InstrumentLink | null
  /** What the server reaches of its kind; empty until the server answers. */
  reached: readonly ServerInstrument[]
  /** Whether this browser has serial leads. */
  hasSerial: boolean
}

const OF_SERVER = 'server:'

/** The way an instrument is read now, as a value of the list. */
export function wayNow(link: InstrumentLink | null): string {
  if (!link) return 'typed'
  return link.via === 'server' ? OF_SERVER + link.serverId : link.via
}

/** The id, on the server, of the instrument a value of the list stands for; null where it is no server’s. */
export function serverIdOfWay(value: string): string | null {
  return value.startsWith(OF_SERVER) ? value.slice(OF_SERVER.length) : null
}

/**
 * The ways an instrument can be read. What the server reaches stands last: it answers while the list may be open, and
 * nothing above it moves. What is chosen has words of its own even while the server is silent.
 */
export function waysToRead({ link, reached, hasSerial }: Reachable): WayToRead[] {
  const ways = [
    { value: 'typed', title: 'I type what it shows' },
    { value: 'virtual', title: 'Virtual bench (simulated), by L' },
    ...(hasSerial ? [{ value: 'serial', title: 'On a serial lead of this machine …' }] : []),
    ...reached.map(({ id, title, port }) => ({
      value: OF_SERVER + id,
      title: port === null ? `${title}, by L` : `${title}, by the server on port ${port}`,
    })),
  ]
  const now = wayNow(link)
  if (ways.some(({ value }) => value === now)) return ways
  const title = link?.via === 'serial' ? 'On a serial lead' : 'By the server, not reached now'
  return [...ways, { value: now, title }]
}
