import type { Rulebook } from '../../../rules'

/** A part of a range, and the services of the rulebooks that have it. */
export interface RangePart {
  fromHz: number
  toHz: number
  /** `47 CFR 97: 2 m`; empty where no rulebook has it. */
  services: string[]
}

/**
 * Who may use a range, by the bands of service of several rulebooks: cut where any of them begins or ends.
 * Rulebooks without bands speak of any carrier and tell nothing.
 */
export function whoMayUse(
  range: { fromHz: number; toHz: number },
  rulebooks: readonly Pick<Rulebook, 'title' | 'bands'>[],
): RangePart[] {
  const services = rulebooks.flatMap(({ title, bands }) =>
    bands.map(band => ({ ...band, words: band.name ? `${title}: ${band.name}` : title })),
  )
  const inside = (hz: number) => hz > range.fromHz && hz < range.toHz
  const cuts = [
    range.fromHz,
    ...services.flatMap(({ fromHz, toHz }) => [fromHz, toHz].filter(inside)),
    range.toHz,
  ].sort((a, b) => a - b)
  const parts = cuts.slice(1).flatMap((toHz, i): RangePart[] => {
    const fromHz = cuts[i]!
    if (toHz === fromHz) return []
    const middle = (fromHz + toHz) / 2
    const has = services.filter(one => one.fromHz <= middle && middle <= one.toHz)
    return [{ fromHz, toHz, services: [...new Set(has.map(({ words }) => words))] }]
  })
  return joined(parts)
}

/** Neighbours of the same services are one part. */
function joined(parts: readonly RangePart[]): RangePart[] {
  const out: RangePart[] = []
  for (const part of parts) {
    const last = out.at(-1)
    if (last && last.services.join() === part.services.join()) last.toHz = part.toHz
    else out.push({ ...part })
  }
  return out
}
