import { ON_CHANNEL_HZ } from './matchClauses'
import { evaluateLimit } from './evaluateLimit'
import type { CarrierFacts, LimitAnswer, LimitClause, Rulebook } from './types'

/** One point of a limit drawn over the frequency of the emission. */
export interface LimitCurvePoint {
  frequencyHz: number
  /** null where the rulebook has no figure, or it cannot be applied. */
  limitDbm: number | null
}

/** A rulebook's limit on unwanted emissions of one carrier, over frequency. */
export interface LimitCurve {
  rulebook: { id: string; title: string }
  points: LimitCurvePoint[]
  /** What it says of the second harmonic: the reason to show beside the curve. */
  answer: LimitAnswer
}

const SPUR = { harmonic: null } as const
/** So close to the carrier the emission itself stands, not a spur: half of a channel of 25 kHz. */
const OWN_CHANNEL_HZ = 12.5e3

/**
 * The limit of a rulebook over frequency for one carrier, evaluated on a logarithmic grid, right at both
 * sides of every
 * edge, and at each harmonic with the clauses that speak of harmonics only.
 * @param range - Hz, ends included; `points` on the grid, 50 or more.
 */
export function limitCurve(
  rulebook: Rulebook,
  carrier: CarrierFacts,
  range: { fromHz: number; toHz: number; points: number },
): LimitCurve {
  const ratio = Math.log(range.toHz / range.fromHz) / (range.points - 1)
  const grid = Array.from({ length: range.points }, (_unused, i) => range.fromHz * Math.exp(i * ratio))
  const edges = edgesOf(rulebook, carrier)
    .filter(hz => hz > range.fromHz && hz < range.toHz)
    .flatMap(hz => [hz * (1 - 1e-7), hz * (1 + 1e-7)])
  const frequencies = [...grid, ...edges]
    .filter(hz => Math.abs(hz - carrier.frequencyHz) > OWN_CHANNEL_HZ)
    .sort((a, b) => a - b)
  return {
    rulebook: { id: rulebook.id, title: rulebook.title },
    points: frequencies.map(frequencyHz => ({
      frequencyHz,
      limitDbm: dbmOf(evaluateLimit(rulebook, carrier, { frequencyHz, ...SPUR })),
    })),
    answer: evaluateLimit(rulebook, carrier),
  }
}

function dbmOf(answer: LimitAnswer): number | null {
  return answer.kind === 'limit' ? answer.limitDbm : null
}

/** Frequencies where the limits of a rulebook step. */
function edgesOf(rulebook: Rulebook, carrier: CarrierFacts): number[] {
  return rulebook.clauses.flatMap(({ limit, bandwidthHz, when }) => {
    const begins = [
      ...(when.awayHz === undefined
        ? []
        : [carrier.frequencyHz - when.awayHz, carrier.frequencyHz + when.awayHz]),
      ...(when.fromCarrierTimes === undefined
        ? []
        : [when.fromCarrierTimes * carrier.frequencyHz - ON_CHANNEL_HZ]),
    ]
    return [...begins, ...edgesOfLimit({ limit, bandwidthHz }, carrier)]
  })
}

function edgesOfLimit(
  { limit, bandwidthHz }: Pick<LimitClause, 'limit' | 'bandwidthHz'>,
  carrier: CarrierFacts,
): number[] {
  if (limit.kind === 'by-emission') return limit.segments.flatMap(({ fromHz, toHz }) => [fromHz, toHz])
  if (limit.kind !== 'mask') return []
  const hz = limit.steps
    .flatMap(({ from, to }) => [from, to])
    .map(step => (limit.unit === 'Hz' ? step : (step / 100) * (bandwidthHz ?? 0)))
  return hz.flatMap(offset => [carrier.frequencyHz - offset, carrier.frequencyHz + offset])
}
