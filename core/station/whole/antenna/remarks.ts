import type { Context } from '../../../context'
import { mismatchLossDbFromVswr, printDb, printVswr } from '../../../quantity'
import { type RadioSet, setShortName } from '../../../review'
import type { Remark } from '../../contract'
import { matchesOf } from './match'
import { antennasOf } from './memo'
import { planAntenna } from './plan'

/** Antennas of one set side by side, band by band: the worst match of each, and what it sends back. */
export function antennaRemarks(sets: readonly RadioSet[], context: Context): Remark[] {
  return sets.flatMap(set => {
    if (antennasOf(set, context).length < 2) return []
    const steps = planAntenna(set, context)
    return set.bands.flatMap(({ id, name }) => {
      const worst = steps
        .filter(({ band }) => band.id === id)
        .flatMap(step => {
          const vswr = Math.max(...matchesOf(step, context).map(match => match.vswr))
          return Number.isFinite(vswr) ? [{ title: step.variant!.title, vswr }] : []
        })
      if (worst.length < 2) return []
      const words = worst.map(
        one => `${one.title} ${printVswr(one.vswr)} (${printDb(mismatchLossDbFromVswr(one.vswr), 2)} lost)`,
      )
      return [
        {
          id: `antenna:${set.id}:${id}`,
          title: `Antennas of ${setShortName(set)}, ${name}`,
          text:
            `At the worst channel: ${words.join('; ')}. A match is not yet radiation: ` +
            'compare them off the air as well.',
        },
      ]
    })
  })
}
