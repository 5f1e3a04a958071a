import { lookup } from 'node:dns/promises'
import { BlockList, isIP, isIPv6 } from 'node:net'
import { SPOKEN_KINDS, type SpokenKind } from '#core/link'
import { LinkError } from './linkError'
import { LINK_LIMITS } from './limits'

/** An instrument whoever runs the server allows to be spoken to. */
export interface AllowedInstrument {
  id: string
  title: string
  kind: SpokenKind
  host: string
  port: number
  isVirtual: boolean
}

/** Networks an instrument on a bench may stand in (RFC 1918, RFC 4193, RFC 3927, RFC 4291). */
const bench = new BlockList()
bench.addSubnet('127.0.0.0', 8)
bench.addSubnet('10.0.0.0', 8)
bench.addSubnet('172.16.0.0', 12)
bench.addSubnet('192.168.0.0', 16)
bench.addSubnet('169.254.0.0', 16)
bench.addAddress('::1', 'ipv6')
bench.addSubnet('fc00::', 7, 'ipv6')
bench.addSubnet('fe80::', 10, 'ipv6')

/** Where machines in data centres keep their keys: never an instrument. */
const NEVER: ReadonlySet<string> = new Set(['169.254.169.254', 'fd00:ec2::254'])

/** Whether an address may be an instrument’s at all. */
export function mayBeInstrument(address: string): boolean {
  const plain = withoutMapping(address)
  if (isIP(plain) === 0 || NEVER.has(plain.toLowerCase())) return false
  return bench.check(plain, isIPv6(plain) ? 'ipv6' : 'ipv4')
}

/** `::ffff:10.0.0.1` is 10.0.0.1. */
function withoutMapping(address: string): string {
  return address.replace(/^::ffff:(?=\d+\.\d+\.\d+\.\d+$)/i, '')
}

/**
 * The address of a name, looked up once; whatever the name says later, this is where the link goes.
 * @throws LinkError where it is none a bench has
 */
export async function resolvedAddress(
  host: string,
  look: (host: string) => Promise<string> = async name => (await lookup(name)).address,
): Promise<string> {
  let address: string
  try {
    address = isIP(host) ? host : await look(host)
  } catch {
    throw new LinkError('unreachable', `Nobody knows an instrument by the name “${host}”.`)
  }
  if (!mayBeInstrument(address))
    throw new LinkError(
      'not-allowed',
      `“${host}” is at ${address}, which is no address on a bench. Nothing was sent.`,
    )
  return address
}

/**
 * Reads the instruments an administrator allows: `name|kind|host:port`, several with commas.
 * @throws LinkError naming the entry that cannot be read
 */
export function allowedInstruments(text: string): AllowedInstrument[] {
  const entries = text
    .split(',')
    .map(entry => entry.trim())
    .filter(entry => entry !== '')
  if (entries.length > LINK_LIMITS.instruments)
    throw new LinkError('bad-request', `More than ${LINK_LIMITS.instruments} instruments are named.`)
  return entries.map((entry, i) => entryOf(entry, i))
}

function entryOf(entry: string, i: number): AllowedInstrument {
  const [title = '', kind = '', place = ''] = entry.split('|').map(part => part.trim())
  const found = /^(\[[0-9a-f:]+\]|[\w.-]+):(\d{1,5})$/i.exec(place)
  const port = Number(found?.[2])
  if (title === '' || !isKind(kind) || !found || port < 1 || port > 65_535)
    throw new LinkError(
      'bad-request',
      `“${entry.slice(0, 80)}” is no instrument: name|kind|host:port is wanted, kinds are ${SPOKEN_KINDS.join(', ')}.`,
    )
  const host = found[1]!.replace(/[[\]]/g, '')
  return { id: `own-${i + 1}`, title, kind, host, port, isVirtual: false }
}

function isKind(kind: string): kind is SpokenKind {
  return (SPOKEN_KINDS as readonly string[]).includes(kind)
}
