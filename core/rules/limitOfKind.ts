import type { PowerLimit } from './types'

/** What a limit begins as: 60 dB below the carrier. */
export const PLAIN_LIMIT: PowerLimit = { kind: 'relative', attenuationDb: 60 }

/** A limit of another kind that keeps what can be kept: what stood inside, or the limit itself, goes inside. */
export function limitOfKind(kind: PowerLimit['kind'], before: PowerLimit): PowerLimit {
  const inner = innerOf(before)
  switch (kind) {
    case 'absolute':
      return { kind, powerW: 25e-6 }
    case 'relative':
      return { kind, attenuationDb: 60 }
    case 'offset-plus-log-power':
      return { kind, offsetDb: 43 }
    case 'strictest':
    case 'loosest':
      return { kind, of: 'of' in before ? before.of : [inner, { kind: 'absolute', powerW: 25e-6 }] }
    case 'not-below':
      return { kind, powerW: 10e-6, limit: inner }
    case 'by-emission':
      return {
        kind,
        segments: [
          { fromHz: 9e3, toHz: 1e9, limit: inner },
          { fromHz: 1e9, toHz: 300e9, limit: inner },
        ],
      }
    case 'mask':
      return { kind, unit: 'Hz', steps: [{ from: 12_500, to: 300e9, limit: inner }] }
    case 'slope':
      return { kind, law: 'linear', a: 7.27, b: 2.88 }
  }
}

/** The limit inside a limit, or itself where it holds none. */
function innerOf(outer: PowerLimit): PowerLimit {
  if ('limit' in outer) return outer.limit
  if ('of' in outer) return outer.of[0] ?? PLAIN_LIMIT
  if (outer.kind === 'by-emission') return outer.segments[0]?.limit ?? PLAIN_LIMIT
  return outer.kind === 'mask' ? (outer.steps[0]?.limit ?? PLAIN_LIMIT) : outer
}
