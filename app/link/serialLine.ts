import { blockState, type InstrumentLine } from '#core/link'
import { identityOf, type PortIdentity, serialOf, type SerialPortLike } from './serialPort'

/** A serial instrument did not answer, or is not there. */
export class SerialLinkError extends Error {}

const ANSWER_MS = 5000
const MOST_BYTES = 8_000_000
const NEWLINE = 10

/** One open port: what came in, and who waits for it. */
class OpenPort {
  private bytes: number[] = []
  private wake: (() => void) | null = null
  private last: Promise<unknown> = Promise.resolve()
  isLost = false

  private reader: ReadableStreamDefaultReader<Uint8Array> | null = null

  constructor(
    private readonly port: SerialPortLike,
    readonly baudRate: number,
  ) {
    void this.listen()
  }

  /** Gives the port back, so that it can be opened at another rate. */
  async close(): Promise<void> {
    await this.reader?.cancel().catch(() => undefined)
    await this.port.close().catch(() => undefined)
  }

  /** Says a line and waits for what it brings, one word after the other. */
  query(line: string, form: 'line' | 'block'): Promise<Uint8Array> {
    return this.inTurn(async () => {
      this.forget()
      await this.send(line)
      return this.answer(form)
    })
  }

  /** One word after the other. */
  inTurn<T>(work: () => Promise<T>): Promise<T> {
    const mine = this.last.then(work)
    this.last = mine.catch(() => undefined)
    return mine
  }

  async send(text: string): Promise<void> {
    const writer = this.port.writable?.getWriter()
    if (!writer || this.isLost) throw new SerialLinkError('The lead is not plugged in any more.')
    try {
      await writer.write(Uint8Array.from(text, char => char.charCodeAt(0)))
    } finally {
      writer.releaseLock()
    }
  }

  forget(): void {
    this.bytes = []
  }

  async answer(form: 'line' | 'block'): Promise<Uint8Array> {
    const until = Date.now() + ANSWER_MS
    for (;;) {
      const whole = this.wholeAnswer(form)
      if (whole) return whole
      if (this.isLost) throw new SerialLinkError('The lead was pulled in the middle of an answer.')
      const leftMs = until - Date.now()
      if (leftMs <= 0)
        throw new SerialLinkError(
          this.bytes.length === 0
            ? 'The instrument did not answer. Is the baud rate right?'
            : `The instrument stopped after ${this.bytes.length} bytes.`,
        )
      await new Promise<void>(resolve => {
        const timer = setTimeout(resolve, leftMs)
        this.wake = () => {
          clearTimeout(timer)
          resolve()
        }
      })
    }
  }

  private wholeAnswer(form: 'line' | 'block'): Uint8Array | null {
    if (form === 'block') {
      const bytes = Uint8Array.from(this.bytes)
      const state = blockState(bytes)
      if (state.is === 'whole') return bytes
      if (state.is === 'more') return null
    }
    const at = this.bytes.indexOf(NEWLINE)
    return at < 0 ? null : Uint8Array.from(this.bytes.slice(0, at + 1))
  }

  private async listen(): Promise<void> {
    this.reader = this.port.readable?.getReader() ?? null
    try {
      for (;;) {
        const { value, done } = (await this.reader?.read()) ?? { value: undefined, done: true }
        if (done) break
        for (const byte of value ?? []) this.bytes.push(byte)
        if (this.bytes.length > MOST_BYTES) this.bytes = []
        this.wake?.()
      }
    } catch {
      // A lead that is pulled ends the stream with an error: whoever waits is told.
    }
    this.reader?.releaseLock()
    this.isLost = true
    this.wake?.()
  }
}

/** A lead of this machine: what its plug says, and what the instrument on it says. */
export interface SerialLead extends PortIdentity {
  /** Its answer to being asked for its name; null where nobody asked, as long as no other lead is of the same make. */
  answersAs?: string | null
}

/** How one speaks over it. */
interface Speaking {
  baudRate: number
  lineEnd: '\n' | '\r\n'
}

/** Ports this page has opened. */
const open = new Map<SerialPortLike, OpenPort>()
const opening = new Map<string, Promise<OpenPort>>()

/** Asks the person for a port; null where they chose none. */
export async function askForPort(): Promise<SerialPortLike | null> {
  try {
    return (await serialOf()?.requestPort()) ?? null
  } catch {
    return null
  }
}

/** Leads with the same plug as one: their instruments can only be told apart by what they answer. */
async function alike({ vendorId, productId }: PortIdentity): Promise<SerialPortLike[]> {
  const ports = (await serialOf()?.getPorts()) ?? []
  return ports.filter(port => {
    const own = identityOf(port)
    return own.vendorId === vendorId && own.productId === productId
  })
}

/** What the instrument on a port says it is, where other leads are of the same make; null where nobody need ask. */
export async function nameIfNeeded(port: SerialPortLike, how: Speaking): Promise<string | null> {
  if ((await alike(identityOf(port))).length < 2) return null
  return nameOn(await openPort(port, how.baudRate), how)
}

/** IEEE 488.2: maker, model, serial number, version. */
const WHO = '*IDN?'

async function nameOn(port: OpenPort, { lineEnd }: Speaking): Promise<string | null> {
  const answer = await port.query(WHO + lineEnd, 'line').catch(() => null)
  return answer ? String.fromCharCode(...answer).trim() : null
}

async function openPort(port: SerialPortLike, baudRate: number): Promise<OpenPort> {
  const known = open.get(port)
  if (known && !known.isLost && known.baudRate === baudRate) return known
  await known?.close()
  try {
    if (!port.readable) await port.open({ baudRate })
  } catch {
    throw new SerialLinkError('The port cannot be opened: another program may have it.')
  }
  const opened = new OpenPort(port, baudRate)
  open.set(port, opened)
  return opened
}

async function found(lead: SerialLead, how: Speaking): Promise<OpenPort> {
  const ports = await alike(lead)
  const [only] = ports
  if (!only)
    throw new SerialLinkError('The lead of this instrument is not plugged in, or the browser forgot it.')
  if (ports.length === 1) return openPort(only, how.baudRate)
  if (!lead.answersAs)
    throw new SerialLinkError(
      `${ports.length} leads of this make are plugged in, and nothing tells them apart: ` +
        'choose this instrument’s lead once more on the bench page, and it is asked for its name.',
    )
  for (const port of ports) {
    const one = await openPort(port, how.baudRate).catch(() => null)
    if (one && (await nameOn(one, how)) === lead.answersAs) return one
  }
  throw new SerialLinkError(`Of ${ports.length} leads of this make none answers as “${lead.answersAs}”.`)
}

async function portFor(lead: SerialLead, how: Speaking): Promise<OpenPort> {
  const key = `${lead.vendorId}:${lead.productId}:${how.baudRate}:${lead.answersAs ?? ''}`
  const known = await opening.get(key)?.catch(() => null)
  if (known && !known.isLost) return known
  const finding = found(lead, how)
  opening.set(key, finding)
  finding.catch(() => opening.delete(key))
  return finding
}

/** A line to an instrument on a serial lead. */
export function serialLine(lead: SerialLead, how: Speaking): InstrumentLine {
  return {
    send: async line => {
      const port = await portFor(lead, how)
      await port.inTurn(() => port.send(line + how.lineEnd))
    },
    query: async (line, form) => (await portFor(lead, how)).query(line + how.lineEnd, form),
    wait: ms => new Promise(resolve => setTimeout(resolve, ms)),
  }
}
