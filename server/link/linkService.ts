import { type AllowedInstrument, resolvedAddress } from './allowList'
import { LinkError } from './linkError'
import { LINK_LIMITS } from './limits'
import { TcpInstrument } from './tcpInstrument'
import { Tokens } from './tokens'
import { Turns } from './turns'

/** A line to an instrument and what is expected back. */
export interface LinkRequest {
  instrumentId: string
  line: string
  /** Lines that are sent before it, in the same turn. */
  before?: readonly string[]
  lineEnd: '\n' | '\r\n'
  /** none: nothing is answered. */
  form: 'none' | 'line' | 'block'
  timeoutMs: number
}

interface Open {
  tcp: TcpInstrument
  turns: Turns
  lastUsed: number
}

/** Everything that goes over the link: to instruments of the list and nowhere else, one client at a time each. */
export class LinkService {
  readonly tokens = new Tokens()
  private readonly open = new Map<string, Promise<Open>>()
  private readonly byId: ReadonlyMap<string, AllowedInstrument>

  constructor(
    instruments: readonly AllowedInstrument[],
    private readonly look?: (host: string) => Promise<string>,
  ) {
    this.byId = new Map(instruments.map(one => [one.id, one]))
  }

  /** What may be spoken to; where it stands is nobody’s business but the server’s, save for the virtual bench. */
  list(): (Pick<AllowedInstrument, 'id' | 'title' | 'kind' | 'isVirtual'> & { port: number | null })[] {
    return [...this.byId.values()].map(({ id, title, kind, isVirtual, port }) => ({
      ...{ id, title, kind, isVirtual },
      port: isVirtual ? port : null,
    }))
  }

  /** Says a line, and waits for what it brings. @throws LinkError */
  async say(
    client: string,
    { instrumentId, line, before = [], lineEnd, form, timeoutMs }: LinkRequest,
  ): Promise<Uint8Array> {
    if (![...before, line].every(isSendable))
      throw new LinkError('bad-request', 'A line is one line of plain characters.')
    const { tcp, turns } = await this.instrument(instrumentId)
    return turns.during(client, async () => {
      for (const one of before) await tcp.send(one, lineEnd)
      if (form !== 'none') return tcp.query(line, { end: lineEnd, form, timeoutMs })
      await tcp.send(line, lineEnd)
      return new Uint8Array()
    })
  }

  /** Ends a client’s turn at an instrument, cutting off what is under way there. */
  async abort(client: string, instrumentId: string): Promise<void> {
    if (!this.byId.has(instrumentId))
      throw new LinkError('unknown-instrument', 'There is no such instrument here.')
    const open = await this.open.get(instrumentId)
    if (!open) return
    if (open.turns.isOf(client)) open.tcp.close('It was called off.')
    open.turns.release(client)
  }

  /** Closes all connections. */
  async close(): Promise<void> {
    for (const one of this.open.values()) (await one.catch(() => null))?.tcp.close()
    this.open.clear()
  }

  private async instrument(id: string): Promise<Open> {
    const allowed = this.byId.get(id)
    if (!allowed) throw new LinkError('unknown-instrument', 'There is no such instrument here.')
    const known = this.open.get(id)
    if (known) {
      const open = await known
      open.lastUsed = Date.now()
      return open
    }
    const opening = this.opened(allowed)
    this.open.set(id, opening)
    opening.catch(() => this.open.delete(id))
    return opening
  }

  private async opened({ id, host, port }: AllowedInstrument): Promise<Open> {
    await this.makeRoomFor(id)
    // One look at its name: where it leads later does not matter any more.
    const address = await resolvedAddress(host, this.look)
    return { tcp: new TcpInstrument(address, port), turns: new Turns(), lastUsed: Date.now() }
  }

  /** So many connections at most: the one that was not used for longest is closed, if it is idle. */
  private async makeRoomFor(newId: string): Promise<void> {
    const others = [...this.open].filter(([id]) => id !== newId)
    if (others.length < LINK_LIMITS.connections) return
    const all = await Promise.all(others.map(async ([id, one]) => ({ id, ...(await one) })))
    const [oldest] = all
      .filter(({ lastUsed }) => Date.now() - lastUsed > LINK_LIMITS.leaseMs)
      .sort((a, b) => a.lastUsed - b.lastUsed)
    if (!oldest) throw new LinkError('busy', `${LINK_LIMITS.connections} instruments are spoken to already.`)
    oldest.tcp.close()
    this.open.delete(oldest.id)
  }
}

function isSendable(line: string): boolean {
  return line.length > 0 && line.length <= LINK_LIMITS.lineCharacters && /^[\x20-\x7e\t]*$/.test(line)
}
