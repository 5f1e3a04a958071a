import { evaluateLimit } from './evaluateLimit'
import { isPowerLimit } from './demandsOf'
import type { CarrierFacts, EmissionFacts, LimitAnswer, PowerLimit, Rulebook } from './types'

/**
 * Answers a rulebook’s limit for many emissions of one carrier, working each stretch of frequency out once.
 */
export type LimitsOfCarrier = (emission: EmissionFacts) => LimitAnswer

/**
 * Where a rulebook’s limits step with the frequency of the emission, Hz; null where they hang on its distance
 * from the carrier.
 */
export function emissionEdges(rulebook: Rulebook): readonly number[] | null {
  const edges = new Set<number>()
  for (const clause of rulebook.clauses) {
    if (clause.about !== 'unwanted') continue
    if (clause.when.awayHz !== undefined || clause.when.fromCarrierTimes !== undefined) return null
    for (const { fromHz, toHz } of clause.referenceBandwidth ?? []) edges.add(fromHz).add(toHz)
    if (isPowerLimit(clause.limit) && !collect(clause.limit, edges)) return null
  }
  return [...edges].sort((a, b) => a - b)
}

/** Adds the edges of a limit; false where it hangs on the distance from the carrier. */
function collect(limit: PowerLimit, edges: Set<number>): boolean {
  switch (limit.kind) {
    case 'mask':
    case 'slope':
      return false
    case 'strictest':
    case 'loosest':
      return limit.of.every(one => collect(one, edges))
    case 'not-below':
      return collect(limit.limit, edges)
    case 'by-emission':
      return limit.segments.every(({ fromHz, toHz, limit: inner }) => {
        edges.add(fromHz).add(toHz)
        return collect(inner, edges)
      })
    default:
      return true
  }
}

/** Prepares a rulebook for the harmonics of one carrier. */
export function limitsOfCarrier(
  rulebook: Rulebook,
  carrier: CarrierFacts,
  edges: readonly number[] | null,
): LimitsOfCarrier {
  if (edges === null) return emission => evaluateLimit(rulebook, carrier, emission)
  const known = new Map<number, LimitAnswer>()
  return emission => {
    let stretch = 0
    // Right at an edge the lower segment holds.
    while (stretch < edges.length && edges[stretch]! < emission.frequencyHz) stretch++
    const key = emission.harmonic === null ? -1 - stretch : stretch
    let answer = known.get(key)
    if (!answer) known.set(key, (answer = evaluateLimit(rulebook, carrier, emission)))
    return answer
  }
}
