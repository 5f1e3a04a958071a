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

  constructor(private readonly port: SerialPortLike) {
    void this.listen()
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
    const reader = this.port.readable?.getReader()
    try {
      for (;;) {
        const { value, done } = (await reader?.read()) ?? { value: undefined, done: true }
        if (done) break
        for (const byte of value ?? []) this.bytes.push(byte)
        if (this.bytes.length > MOST_BYTES) this.bytes = []
        this.wake?.()
      }
    } catch {
      // A lead that is pulled ends the stream with an error: whoever waits is told.
    }
    this.isLost = true
    this.wake?.()
  }
}

const open = new Map<string, Promise<OpenPort>>()

/** Asks the person for a port; null where they chose none. */
export async function askForPort(): Promise<PortIdentity | null> {
  try {
    const port = await serialOf()?.requestPort()
    return port ? identityOf(port) : null
  } catch {
    return null
  }
}

async function opened(identity: PortIdentity, baudRate: number): Promise<OpenPort> {
  const ports = (await serialOf()?.getPorts()) ?? []
  const port = ports.find(one => {
    const { vendorId, productId } = identityOf(one)
    return vendorId === identity.vendorId && productId === identity.productId
  })
  if (!port)
    throw new SerialLinkError('The lead of this instrument is not plugged in, or the browser forgot it.')
  try {
    if (!port.readable) await port.open({ baudRate })
  } catch {
    throw new SerialLinkError('The port cannot be opened: another program may have it.')
  }
  return new OpenPort(port)
}

async function portFor(identity: PortIdentity, baudRate: number): Promise<OpenPort> {
  const key = `${identity.vendorId}:${identity.productId}`
  const known = await open.get(key)?.catch(() => null)
  if (known && !known.isLost) return known
  const opening = opened(identity, baudRate)
  open.set(key, opening)
  opening.catch(() => open.delete(key))
  return opening
}

/** A line to an instrument on a serial lead. */
export function serialLine(
  identity: PortIdentity,
  { baudRate, lineEnd }: { baudRate: number; lineEnd: '\n' | '\r\n' },
): InstrumentLine {
  return {
    send: async line => {
      const port = await portFor(identity, baudRate)
      await port.inTurn(() => port.send(line + lineEnd))
    },
    query: async (line, form) => {
      const port = await portFor(identity, baudRate)
      return port.inTurn(async () => {
        port.forget()
        await port.send(line + lineEnd)
        return port.answer(form)
      })
    },
    wait: ms => new Promise(resolve => setTimeout(resolve, ms)),
  }
}
