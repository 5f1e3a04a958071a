import { seededRandom } from './seededRandom'

/**
 * What a simulated power meter shows of a simulated radio that is kept keyed, at so many moments: it starts
 * near its claim and falls as it warms.
 */
export function simulatedMeterLog({
  claimW,
  seed,
  moments,
}: {
  claimW: number
  seed: number
  moments: readonly number[]
}): { atS: number; powerW: number }[] {
  const random = seededRandom(seed + 1)
  const startDb = -0.5 + 0.6 * random()
  const fallDb = 0.2 + 0.6 * random()
  const tauS = 50 + 60 * random()
  return moments.map(atS => {
    const ripple = 0.01 * Math.sin(atS * 1.7 + seed)
    return { atS, powerW: claimW * 10 ** ((startDb - fallDb * (1 - Math.exp(-atS / tauS)) + ripple) / 10) }
  })
}
