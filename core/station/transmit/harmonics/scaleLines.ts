import type { Context } from '../../../context'
import { contribution, type Contribution } from '../../../uncertainty'

/** How far the scale of an analyser may be off over 10 dB where nobody says, ± dB (common practice, no source). */
export const ASSUMED_SCALE_DB_PER_10_DB = 0.2

/**
 * What the scale leaves open in the ratio of two levels of one analyser: the more, the further they are apart. Where
 * nothing of its accuracy cancels, it is in there already.
 * @param levelsDb - how far the two levels are apart, dB.
 */
export function scaleLines(
  first: readonly Contribution[],
  second: readonly Contribution[],
  levelsDb: number,
  context: Context,
): Contribution[] {
  const shared = sharedAnalyser(first, second)
  const analyser = shared === null ? undefined : context.instrument(shared)
  if (analyser?.kind !== 'spectrum-analyser') return []
  const perTenDb = analyser.scaleDbPer10Db ?? ASSUMED_SCALE_DB_PER_10_DB
  const halfWidth = (perTenDb * Math.abs(levelsDb)) / 10
  return halfWidth === 0
    ? []
    : [
        contribution({
          id: `scale:${analyser.id}`,
          group: 'scale',
          label: `${analyser.name}, scale`,
          distribution: 'rectangular',
          halfWidth,
          assumed: analyser.scaleDbPer10Db === null,
        }),
      ]
}

const ANALYSER = 'analyser:'

/** The analyser whose error of level both readings share; null where there is none. */
function sharedAnalyser(first: readonly Contribution[], second: readonly Contribution[]): string | null {
  const keys = new Set(second.map(({ sharedKey }) => sharedKey))
  const shared = first.find(({ sharedKey }) => sharedKey?.startsWith(ANALYSER) && keys.has(sharedKey))
  return shared?.sharedKey?.slice(ANALYSER.length) ?? null
}
