import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'

/** Whole numbers drawn ahead: one refill keeps the generator’s state in the processor’s registers. */
const BLOCK = 1024

/**
 * Even whole numbers from −2³¹ to 2³¹ − 1, the very sequence of pure-rand’s xoroshiro128plus, drawn in blocks:
 * a simulation wants fifteen million of them while a person waits. Streams of one seed are 2⁶⁴ numbers apart:
 * several draw at once, and none draws what another has drawn.
 * @see D. Blackman and S. Vigna, ACM Trans. Math. Softw. 47 (2021) 36, for the generator (from memory).
 */
export class RandomIntegers {
  /** The generator's two words of 64 bits, each in two halves. */
  private lowA: number
  private highA: number
  private lowB: number
  private highB: number
  private readonly block = new Int32Array(BLOCK)
  private at = BLOCK

  /** @param stream Which of the seed’s streams, from 0. */
  constructor(seed: number, stream = 0) {
    const start = xoroshiro128plus(seed)
    for (let i = 0; i < stream; i++) start.jump()
    const [highA, lowA, highB, lowB] = start.getState()
    this.lowA = lowA!
    this.highA = highA!
    this.lowB = lowB!
    this.highB = highB!
  }

  /** One number. */
  next(): number {
    if (this.at === BLOCK) {
      this.fill(this.block)
      this.at = 0
    }
    return this.block[this.at++]!
  }

  /** Fills a block with the next numbers. */
  fill(block: Int32Array): void {
    let { lowA, highA, lowB, highB } = this
    let i = 0
    while (this.at < BLOCK && i < block.length) block[i++] = this.block[this.at++]!
    for (; i < block.length; i++) {
      block[i] = lowA + lowB
      const low = lowB ^ lowA
      const high = highB ^ highA
      const nextLowA = (lowA << 24) ^ (highA >>> 8) ^ low ^ (low << 16)
      highA = (highA << 24) ^ (lowA >>> 8) ^ high ^ ((high << 16) | (low >>> 16))
      lowA = nextLowA
      lowB = (high << 5) ^ (low >>> 27)
      highB = (low << 5) ^ (high >>> 27)
    }
    this.lowA = lowA
    this.highA = highA
    this.lowB = lowB
    this.highB = highB
  }
}
