/**
 * Sums over a stretch of I and Q from which the receiver’s own faults are worked out: for a sample x = I + jQ its
 * power P = |x|² and its square x² = U + jV. All that a fit of P by 1, I, Q, U and V needs.
 */
export interface EnvelopeSums {
  count: number
  i: number
  q: number
  u: number
  v: number
  p: number
  iu: number
  iv: number
  qu: number
  qv: number
  pi: number
  pq: number
  uu: number
  uv: number
  vv: number
  pu: number
  pv: number
  /** The same stretch’s weakest and mean bucket, so that an unkeyed one can be left out. */
  leastPower: number
}

const NAMES = [
  ...(['count', 'i', 'q', 'u', 'v', 'p', 'iu', 'iv', 'qu', 'qv', 'pi', 'pq', 'uu', 'uv', 'vv'] as const),
  ...(['pu', 'pv'] as const),
]

export function noEnvelope(): EnvelopeSums {
  const none = Object.fromEntries(NAMES.map(name => [name, 0])) as unknown as EnvelopeSums
  return { ...none, leastPower: Infinity }
}

/** Adds one sample. */
export function addSample(sums: EnvelopeSums, i: number, q: number): void {
  const p = i * i + q * q
  const u = i * i - q * q
  const v = 2 * i * q
  sums.count += 1
  sums.i += i
  sums.q += q
  sums.u += u
  sums.v += v
  sums.p += p
  sums.iu += i * u
  sums.iv += i * v
  sums.qu += q * u
  sums.qv += q * v
  sums.pi += p * i
  sums.pq += p * q
  sums.uu += u * u
  sums.uv += u * v
  sums.vv += v * v
  sums.pu += p * u
  sums.pv += p * v
}

/** Adds up stretches. */
export function addEnvelopes(parts: readonly EnvelopeSums[]): EnvelopeSums {
  const total = noEnvelope()
  for (const part of parts) for (const name of NAMES) total[name] += part[name]
  total.leastPower = Math.min(...parts.map(({ leastPower }) => leastPower))
  return total
}
