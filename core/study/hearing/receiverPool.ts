import { clickScatterDb } from '../../hearing'
import { type FftEngine, readSinad, SINAD_DEFAULTS } from '../../signal'
import { receivedAudio, type SimulatedCarrier, type SimulatedFmReceiver } from '../../virtual'

/** A receiver that was listened to at many levels: what it shows on average, and how single seconds scatter. */
export interface PooledReceiver {
  /** Level above thermal noise and noise figure in 1 Hz, dB, lowest first. */
  ratiosDb: readonly number[]
  /** Mean SINAD at each, dB. */
  meansDb: readonly number[]
  /** Single seconds at each: how far from the mean, and what each says of itself. */
  seconds: readonly (readonly { offDb: number; scatterDb: number }[])[]
}

/** Receivers the study goes through: narrow, narrower, wide. */
export const POOLED_RECEIVERS: readonly {
  receiver: Omit<SimulatedFmReceiver, 'noiseFigureDb'>
  deviationHz: number
  spacingHz: number
}[] = [
  {
    receiver: { passHz: 3750, stopHz: 6500, offHz: 0, distortion: 0.02, deEmphasisS: 750e-6 },
    deviationHz: 1500,
    spacingHz: 12_500,
  },
  {
    receiver: { passHz: 3000, stopHz: 5500, offHz: 0, distortion: 0.005, deEmphasisS: 750e-6 },
    deviationHz: 1500,
    spacingHz: 12_500,
  },
  {
    receiver: { passHz: 7000, stopHz: 11_000, offHz: 0, distortion: 0.02, deEmphasisS: 750e-6 },
    deviationHz: 3000,
    spacingHz: 25_000,
  },
]

const SAMPLE_RATE_HZ = 32_000
/** Levels a receiver is listened to at, dB over its noise in 1 Hz. */
export interface PoolLevels {
  fromDb: number
  toDb: number
  stepDb: number
}

const USUAL_LEVELS: PoolLevels = { fromDb: 34, toDb: 70, stepDb: 0.5 }

/** Listens to a receiver at I/Q level from far below its threshold to far above, second by second. */
export function poolOf(
  { receiver, deviationHz, spacingHz }: (typeof POOLED_RECEIVERS)[number],
  given: { secondsEach: number; random: () => number; engine: FftEngine; levels?: PoolLevels },
): PooledReceiver {
  const { fromDb, toDb, stepDb } = given.levels ?? USUAL_LEVELS
  const count = Math.round((toDb - fromDb) / stepDb) + 1
  const ratiosDb = Array.from({ length: count }, (_unused, i) => fromDb + i * stepDb)
  const read = ratiosDb.map(ratioDb => {
    const carrier: SimulatedCarrier = {
      levelDbm: -173.975 + ratioDb,
      offsetHz: 0,
      toneHz: 1000,
      deviationHz,
      phaseNoiseDbc: -200,
    }
    return Array.from({ length: given.secondsEach }, () => oneSecond({ receiver, carrier, spacingHz }, given))
  })
  const meansDb = rising(
    read.map(seconds => seconds.reduce((sum, { sinadDb }) => sum + sinadDb, 0) / seconds.length),
  )
  return {
    ratiosDb,
    meansDb,
    seconds: read.map((list, i) =>
      list.map(({ sinadDb, scatterDb }) => ({ offDb: sinadDb - meansDb[i]!, scatterDb })),
    ),
  }
}

function oneSecond(
  {
    receiver,
    carrier,
    spacingHz,
  }: { receiver: Omit<SimulatedFmReceiver, 'noiseFigureDb'>; carrier: SimulatedCarrier; spacingHz: number },
  { random, engine }: { random: () => number; engine: FftEngine },
): { sinadDb: number; scatterDb: number } {
  const reception = { sampleRateHz: SAMPLE_RATE_HZ, seconds: 1, random }
  const audio = receivedAudio({ ...receiver, noiseFigureDb: 0 }, [carrier], reception)
  const { parts } = readSinad(audio, SAMPLE_RATE_HZ, SINAD_DEFAULTS, engine)
  if (!parts) return { sinadDb: 0, scatterDb: 0.5 }
  const { sinadDb, standardUncertaintyDb } = parts
  const block = { sinadDb, seconds: 1, standardUncertaintyDb }
  return { sinadDb, scatterDb: clickScatterDb(block, spacingHz) }
}

/** Means made to rise: what chance has turned round is levelled (pool adjacent violators). */
function rising(means: readonly number[]): number[] {
  const blocks: { sum: number; count: number }[] = []
  for (const mean of means) {
    blocks.push({ sum: mean, count: 1 })
    while (blocks.length > 1) {
      const [before, last] = blocks.slice(-2) as [
        { sum: number; count: number },
        { sum: number; count: number },
      ]
      if (before.sum / before.count <= last.sum / last.count) break
      blocks.splice(-2, 2, { sum: before.sum + last.sum, count: before.count + last.count })
    }
  }
  return blocks.flatMap(({ sum, count }) => Array.from({ length: count }, () => sum / count))
}

/** One second of a pooled receiver at any level: the mean between its neighbours, the scatter of the nearer. */
export function hear(
  pool: PooledReceiver,
  ratioDb: number,
  random: () => number,
): { sinadDb: number; scatterDb: number } {
  const { ratiosDb, meansDb, seconds } = pool
  const at = Math.min(ratiosDb.length - 1.001, Math.max(0, (ratioDb - ratiosDb[0]!) / stepOf(pool)))
  const below = Math.floor(at)
  const mean = meansDb[below]! + (at - below) * (meansDb[below + 1]! - meansDb[below]!)
  const near = seconds[Math.round(at)]!
  const { offDb, scatterDb } = near[Math.floor(random() * near.length)]!
  return { sinadDb: mean + offDb, scatterDb }
}

/** Ratio at which a pooled receiver shows a figure on average, dB. */
export function ratioFor(pool: PooledReceiver, sinadDb: number): number {
  const { ratiosDb, meansDb } = pool
  const above = meansDb.findIndex(mean => mean >= sinadDb)
  const [low, high] = [meansDb[above - 1]!, meansDb[above]!]
  return ratiosDb[above - 1]! + ((sinadDb - low) / (high - low)) * stepOf(pool)
}

function stepOf({ ratiosDb }: PooledReceiver): number {
  return ratiosDb[1]! - ratiosDb[0]!
}
