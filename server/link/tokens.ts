import { randomBytes } from 'node:crypto'
import { LINK_LIMITS } from './limits'

/** Tokens of the pages that may speak: one a page, forgotten after a while, the oldest first. */
export class Tokens {
  private readonly seen = new Map<string, number>()

  constructor(
    private readonly limits: Pick<typeof LINK_LIMITS, 'tokens' | 'tokenMs'> = LINK_LIMITS,
    private readonly now: () => number = Date.now,
  ) {}

  issue(): string {
    const token = randomBytes(24).toString('base64url')
    this.seen.set(token, this.now())
    for (const [oldest] of this.seen) {
      if (this.seen.size <= this.limits.tokens) break
      this.seen.delete(oldest)
    }
    return token
  }

  /** Whether a token was given out and is still remembered; it then is the newest again. */
  isKnown(token: string): boolean {
    const at = this.seen.get(token)
    if (at === undefined) return false
    this.seen.delete(token)
    if (this.now() - at > this.limits.tokenMs) return false
    this.seen.set(token, this.now())
    return true
  }
}
