import { LinkError } from './linkError'
import { LINK_LIMITS } from './limits'

interface Waiting {
  client: string
  resolve: () => void
  reject: (error: LinkError) => void
  timer: ReturnType<typeof setTimeout>
}

/**
 * Whose turn it is at an instrument: one client at a time, so that what one sets the other does not read through.
 * A turn ends when it is given back, a little after the last word, or, where others wait, after a while.
 */
export class Turns {
  private holder: string | null = null
  private since = 0
  private lastWord = 0
  private working = 0
  private last: Promise<unknown> = Promise.resolve()
  private waiting: Waiting[] = []
  private timer: ReturnType<typeof setTimeout> | null = null

  constructor(
    private readonly limits: Pick<
      typeof LINK_LIMITS,
      'leaseMs' | 'turnMs' | 'waitMs' | 'waiting'
    > = LINK_LIMITS,
    private readonly now: () => number = Date.now,
  ) {}

  /** Does something in a client’s turn. @throws LinkError where it does not come in time */
  async during<T>(client: string, work: () => Promise<T>): Promise<T> {
    await this.turnOf(client)
    this.working += 1
    // One word after the other, even of one client.
    const mine = this.last.then(work)
    this.last = mine.catch(() => undefined)
    try {
      return await mine
    } finally {
      this.working -= 1
      this.lastWord = this.now()
      this.passOn()
    }
  }

  /** Whether it is a client’s turn just now. */
  isOf(client: string): boolean {
    return this.holder === client
  }

  /** Ends a client’s turn, and takes it out of the row. */
  release(client: string): void {
    const [own, others] = [
      this.waiting.filter(one => one.client === client),
      this.waiting.filter(one => one.client !== client),
    ]
    this.waiting = others
    for (const one of own) {
      clearTimeout(one.timer)
      one.reject(new LinkError('closed', 'It was called off.'))
    }
    if (this.holder === client) this.holder = null
    this.passOn()
  }

  private turnOf(client: string): Promise<void> {
    if (this.isFree(client)) {
      this.give(client)
      return Promise.resolve()
    }
    if (this.waiting.length >= this.limits.waiting)
      return Promise.reject(new LinkError('busy', 'Too many wait for this instrument.'))
    return new Promise((resolve, reject) => {
      const timer = setTimeout(() => {
        this.waiting = this.waiting.filter(one => one.timer !== timer)
        reject(new LinkError('busy', 'Another page speaks to this instrument. Nothing was sent.'))
      }, this.limits.waitMs)
      this.waiting.push({ client, resolve, reject, timer })
      this.passOn()
    })
  }

  private isFree(client: string): boolean {
    if (this.holder === null) return this.waiting.length === 0
    if (this.holder === client) return this.waiting.length === 0 || !this.isOver()
    return this.waiting.length === 0 && this.working === 0 && this.isOver()
  }

  /** Whether the turn of who has it is over: it fell silent, or had its time while others wait. */
  private isOver(): boolean {
    const isSilent = this.working === 0 && this.now() - this.lastWord >= this.limits.leaseMs
    return isSilent || (this.waiting.length > 0 && this.now() - this.since >= this.limits.turnMs)
  }

  private give(client: string): void {
    if (this.holder !== client) this.since = this.now()
    this.holder = client
    this.lastWord = this.now()
  }

  /** Gives the turn to who waits longest, or looks again when it may be over. */
  private passOn(): void {
    if (this.timer) clearTimeout(this.timer)
    this.timer = null
    const [next] = this.waiting
    if (!next) return
    const mayPass =
      this.working === 0 && (this.holder === null || this.holder === next.client || this.isOver())
    if (mayPass) {
      this.waiting.shift()
      clearTimeout(next.timer)
      this.holder = null
      this.give(next.client)
      next.resolve()
      return
    }
    if (this.working === 0)
      this.timer = setTimeout(() => this.passOn(), Math.max(20, this.limits.leaseMs / 4))
  }
}
