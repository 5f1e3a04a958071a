/**
 * Sums over a stretch of I and Q: of every product of up to four of them, each by how many times it holds I and Q
 * (`iiq`: I·I·Q). From these alone the receiver’s own faults are worked out.
 */
export type EnvelopeSums = Record<Product, number> & {
  /** The same stretch’s weakest bucket, so that an unkeyed one can be left out. */
  leastPower: number
}

const PRODUCTS = [
  ...(['count', 'i', 'q', 'ii', 'iq', 'qq', 'iii', 'iiq', 'iqq', 'qqq'] as const),
  ...(['iiii', 'iiiq', 'iiqq', 'iqqq', 'qqqq'] as const),
] as const

type Product = (typeof PRODUCTS)[number]

/** Which product holds I so many times, and Q so many. */
const productOf = (i: number, q: number): Product =>
  i + q === 0 ? 'count' : (`${'i'.repeat(i)}${'q'.repeat(q)}` as Product)

/** Nothing added up yet. */
export function noEnvelope(): EnvelopeSums {
  const none = Object.fromEntries(PRODUCTS.map(name => [name, 0])) as Record<Product, number>
  return { ...none, leastPower: Infinity }
}

/** Adds one sample. */
export function addSample(sums: EnvelopeSums, i: number, q: number): void {
  const ii = i * i
  const iq = i * q
  const qq = q * q
  sums.count += 1
  sums.i += i
  sums.q += q
  sums.ii += ii
  sums.iq += iq
  sums.qq += qq
  sums.iii += ii * i
  sums.iiq += ii * q
  sums.iqq += i * qq
  sums.qqq += qq * q
  sums.iiii += ii * ii
  sums.iiiq += ii * iq
  sums.iiqq += ii * qq
  sums.iqqq += iq * qq
  sums.qqqq += qq * qq
}

/** Adds up stretches; the weakest bucket is that of all of them. */
export function addEnvelopes(parts: readonly EnvelopeSums[]): EnvelopeSums {
  const total = noEnvelope()
  for (const part of parts) {
    for (const name of PRODUCTS) total[name] += part[name]
    total.leastPower = Math.min(total.leastPower, part.leastPower)
  }
  return total
}

const BINOMIAL = [[1], [1, 1], [1, 2, 1], [1, 3, 3, 1], [1, 4, 6, 4, 1]] as const

/** The sums as they would be with a constant taken off every sample. */
export function movedBy(sums: EnvelopeSums, { re, im }: { re: number; im: number }): EnvelopeSums {
  const moved = { ...sums }
  for (let a = 0; a <= 4; a++)
    for (let b = 0; a + b <= 4; b++) {
      let sum = 0
      for (let j = 0; j <= a; j++)
        for (let k = 0; k <= b; k++)
          sum +=
            BINOMIAL[a]![j]! * BINOMIAL[b]![k]! * (-re) ** (a - j) * (-im) ** (b - k) * sums[productOf(j, k)]
      moved[productOf(a, b)] = sum
    }
  return moved
}
