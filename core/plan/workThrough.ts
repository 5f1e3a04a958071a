import type { Context } from '../context'
import type { Sliced } from '../sliced'
import { wantedStations } from '../station'

/**
 * Plans every step of every radio, and works out what it came to where `results` are asked for. What was worked
 * out once is there for whoever asks for it next, so large reviews are gone through like this, a slice at a time,
 * before they are shown.
 */
export function* workThrough(context: Context, wanted: 'plans' | 'results'): Sliced<Context> {
  const { sets } = context.review
  for (const [index, set] of sets.entries()) {
    for (const station of wantedStations(context)) {
      const steps = station.plan(set, context)
      if (wanted === 'results') for (const step of steps) station.evaluate(step, context)
      yield index / sets.length
    }
  }
  return context
}
