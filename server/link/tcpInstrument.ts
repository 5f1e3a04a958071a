import { createConnection, type Socket } from 'node:net'
import { blockState } from '#core/link'
import { LinkError } from './linkError'
import { LINK_LIMITS } from './limits'

/** What is waited for. */
interface Awaited {
  form: 'line' | 'block'
  resolve: (bytes: Uint8Array) => void
  reject: (error: LinkError) => void
}

const NEWLINE = 10

/** One connection to an instrument: lines out, a line or a block back, nothing for ever. */
export class TcpInstrument {
  private socket: Socket | null = null
  private pieces: Buffer[] = []
  private size = 0
  private awaited: Awaited | null = null

  constructor(
    private readonly address: string,
    private readonly port: number,
  ) {}

  get isOpen(): boolean {
    return this.socket !== null
  }

  /** Sends a line. @throws LinkError */
  async send(line: string, end: string): Promise<void> {
    const socket = await this.open()
    await new Promise<void>((resolve, reject) => {
      socket.write(Buffer.from(line + end, 'latin1'), error =>
        error ? reject(new LinkError('closed', `The instrument hung up: ${plain(error)}.`)) : resolve(),
      )
    })
  }

  /** Sends a line and waits for its answer. @throws LinkError; the connection is closed where it is half read */
  async query(
    line: string,
    { end, form, timeoutMs }: { end: string; form: 'line' | 'block'; timeoutMs: number },
  ): Promise<Uint8Array> {
    await this.open()
    // What nobody asked for any more is not the answer to this.
    this.forget()
    const answer = this.answer(form, timeoutMs)
    // A refusal is looked at by whoever waits; the line may fail before.
    answer.catch(() => undefined)
    await this.send(line, end)
    return answer
  }

  private answer(form: 'line' | 'block', timeoutMs: number): Promise<Uint8Array> {
    return new Promise<Uint8Array>((resolve, reject) => {
      const timer = setTimeout(() => {
        const came = this.size
        this.awaited = null
        // Whatever comes now would be taken for the answer to the next question.
        this.close()
        const words = came === 0 ? 'did not answer' : `stopped after ${came} bytes`
        reject(new LinkError('silent', `The instrument ${words}, in ${timeoutMs / 1000} s.`))
      }, timeoutMs)
      this.awaited = {
        form,
        resolve: bytes => {
          clearTimeout(timer)
          resolve(bytes)
        },
        reject: error => {
          clearTimeout(timer)
          reject(error)
        },
      }
    })
  }

  close(words = 'The connection was closed.'): void {
    const { socket } = this
    this.socket = null
    socket?.destroy()
    const { awaited } = this
    this.awaited = null
    awaited?.reject(new LinkError('closed', words))
    this.forget()
  }

  private forget(): void {
    this.pieces = []
    this.size = 0
  }

  private async open(): Promise<Socket> {
    if (this.socket) return this.socket
    const socket = createConnection({ host: this.address, port: this.port })
    socket.setNoDelay(true)
    // It must not keep the server from ending.
    socket.unref()
    await new Promise<void>((resolve, reject) => {
      const timer = setTimeout(() => {
        socket.destroy()
        reject(new LinkError('unreachable', `Nothing answers at ${this.address}:${this.port}.`))
      }, LINK_LIMITS.connectMs)
      socket.once('connect', () => {
        clearTimeout(timer)
        resolve()
      })
      socket.once('error', error => {
        clearTimeout(timer)
        reject(
          new LinkError('unreachable', `${this.address}:${this.port} cannot be reached: ${plain(error)}.`),
        )
      })
    })
    socket.on('data', data => this.take(data))
    socket.on('error', () => undefined)
    socket.on('close', () => {
      if (this.socket === socket) this.close('The instrument ended the connection.')
    })
    this.socket = socket
    return socket
  }

  private take(data: Buffer): void {
    const { awaited } = this
    if (!awaited) return
    this.pieces.push(data)
    this.size += data.length
    const most = awaited.form === 'block' ? LINK_LIMITS.blockBytes : LINK_LIMITS.answerBytes
    if (this.size > most)
      return this.refuse(new LinkError('too-long', `It answered more than ${most} bytes.`))
    if (awaited.form === 'line') return this.takeLine(awaited, data)
    this.takeBlock(awaited)
  }

  private takeLine(awaited: Awaited, data: Buffer): void {
    const at = data.indexOf(NEWLINE)
    if (at < 0) return
    const whole = Buffer.concat(this.pieces)
    this.finish(awaited, whole.subarray(0, whole.length - data.length + at + 1))
  }

  private takeBlock(awaited: Awaited): void {
    const whole = this.pieces.length === 1 ? this.pieces[0]! : Buffer.concat(this.pieces)
    this.pieces = [whole]
    const state = blockState(whole)
    if (state.is === 'whole') return this.finish(awaited, whole)
    // Words where a block was wanted: an error, told as the line it is.
    if (state.is === 'none' && whole.includes(NEWLINE)) return this.finish(awaited, whole)
  }

  private finish(awaited: Awaited, bytes: Uint8Array): void {
    this.awaited = null
    this.forget()
    awaited.resolve(bytes)
  }

  private refuse(error: LinkError): void {
    const { awaited } = this
    this.awaited = null
    this.close()
    awaited?.reject(error)
  }
}

function plain(error: Error & { code?: string }): string {
  const WORDS: Readonly<Record<string, string>> = {
    ECONNREFUSED: 'nobody listens there',
    EHOSTUNREACH: 'there is no way there',
    ENETUNREACH: 'there is no way there',
    ECONNRESET: 'it was cut off',
    EPIPE: 'it was cut off',
  }
  return WORDS[error.code ?? ''] ?? error.code ?? 'no reason given'
}
