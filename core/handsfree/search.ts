/** What a generator may be turned through. */
export interface TurnRange {
  lowestDbm: number
  highestDbm: number
  stepDb: number
}

/** The first way up goes in steps this large, dB. */
const COARSE_DB = 8

/**
 * The highest level at which something still holds, by steps up and then by halves, to `stepDb`.
 * @returns null where it does not even hold at the lowest; the highest where it holds everywhere.
 */
export async function lastAbove(
  { lowestDbm, highestDbm, stepDb }: TurnRange,
  holdsAt: (levelDbm: number) => Promise<boolean>,
): Promise<number | null> {
  if (!(await holdsAt(lowestDbm))) return null
  let [good, bad] = [lowestDbm, highestDbm]
  for (let next = lowestDbm + COARSE_DB; ; next += COARSE_DB) {
    const level = Math.min(next, highestDbm)
    if (!(await holdsAt(level))) {
      bad = level
      break
    }
    good = level
    if (level === highestDbm) return highestDbm
  }
  const steps = Math.max(1, Math.round((bad - good) / stepDb))
  let [low, high] = [0, steps]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (await holdsAt(rounded(good + middle * stepDb))) low = middle
    else high = middle
  }
  return rounded(good + low * stepDb)
}

/**
 * A generator up in steps until something is heard, or down from the highest that is wanted until it is not: the way
 * there matters, a squelch has two edges.
 * @returns null where it never happens.
 */
export async function turnUntil(
  range: TurnRange,
  edge: 'open' | 'close',
  isHeardAt: (levelDbm: number) => Promise<boolean>,
): Promise<number | null> {
  const { lowestDbm, highestDbm, stepDb } = range
  const opens = await firstHeard(range, isHeardAt)
  if (edge === 'open' || opens === null) return opens
  for (
    let level = Math.min(highestDbm, rounded(opens + ABOVE_DB));
    level >= lowestDbm;
    level = rounded(level - stepDb)
  )
    if (!(await isHeardAt(level))) return level
  return null
}

/** Down again from so far above where it opened, dB. */
const ABOVE_DB = 3
const QUICK_DB = 4

/** The first level on the way up at which something is heard: quickly, then back under it and slowly. */
async function firstHeard(
  { lowestDbm, highestDbm, stepDb }: TurnRange,
  isHeardAt: (levelDbm: number) => Promise<boolean>,
): Promise<number | null> {
  let quick = lowestDbm
  while (!(await isHeardAt(quick))) {
    if (quick >= highestDbm) return null
    quick = Math.min(highestDbm, quick + QUICK_DB)
  }
  // All the way down first: a squelch that is open stays so for a while.
  await isHeardAt(lowestDbm)
  for (let level = Math.max(lowestDbm, quick - QUICK_DB); level <= quick; level = rounded(level + stepDb))
    if (await isHeardAt(level)) return level
  return quick
}

/** Levels are set in hundredths at the finest: sums of steps must not drift. */
function rounded(levelDbm: number): number {
  return Math.round(100 * levelDbm) / 100
}
