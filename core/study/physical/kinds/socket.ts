import { type BenchPart, between } from '../bench'
import { reflectionOf, shownAgainstMatchedDb } from '../travellingWaves'

/** A path from the radio's socket to an instrument, as it really is. */
export interface TruePath {
  parts: readonly BenchPart[]
  /** What the radio's own output reflects at this frequency, size. */
  source: number
  /** Standing-wave ratio of the instrument. */
  vswr: number
}

/** The errors of a bench that stay the same from reading to reading: what each part really loses. */
export type TrueLosses = ReadonlyMap<string, number>

/** Draws what each part really loses, from what its owner states. */
export function trueLosses(parts: readonly BenchPart[], random: () => number): TrueLosses {
  return new Map(
    parts.map(({ id, loss, lossUncertainty: { halfWidthDb } }) => [
      id,
      (loss.kind === 'figure' ? loss.lossDb : 0) + between(random, -halfWidthDb, halfWidthDb),
    ]),
  )
}

/** What comes to the instrument of a level that the radio would give a perfect load, dBm. */
export function arrivesDbm(
  levelDbm: number,
  { parts, source, vswr }: TruePath,
  losses: TrueLosses,
  random: () => number,
): number {
  const twoPorts = parts.map(part => ({
    lossDb: losses.get(part.id)!,
    reflects: [reflectionOf(part.vswr), reflectionOf(part.vswr)] as const,
  }))
  const lossDb = twoPorts.reduce((sum, { lossDb: own }) => sum + own, 0)
  return levelDbm - lossDb + shownAgainstMatchedDb({ source, load: reflectionOf(vswr) }, twoPorts, random)
}

/** What a radio's output reflects at its carrier: that of a standing-wave ratio of 2. */
export const AT_CARRIER = 1 / 3
