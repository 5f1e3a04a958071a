import { spacingOf } from '../../../band'
import type { Context } from '../../../context'
import type { ChartPlot, Plot } from '../../../plot'
import { printDb } from '../../../quantity'
import { type RadioSet, nameBeside } from '../../../review'
import { placeWords, type Step } from '../../../step'
import { NEIGHBOUR_ID, planNeighbour, type School, SCHOOLS } from './plan'
import { rejectionsOf, type SideRejection } from './rejection'

interface Member {
  set: RadioSet
  step: Step
  sides: SideRejection[]
}

/** How strong a neighbour may be on either side, a plot for each school and place: schools never share one. */
export function plotNeighbour(sets: readonly RadioSet[], context: Context): Plot[] {
  const groups = new Map<string, { school: School; members: Member[] }>()
  for (const set of sets)
    for (const step of planNeighbour(set, context))
      for (const school of Object.keys(SCHOOLS) as School[]) {
        const sides = rejectionsOf(step, school, context)
        if (sides.length === 0) continue
        const key = `${school}:${placeWords(step)}`
        const group = groups.get(key) ?? { school, members: [] }
        groups.set(key, { school, members: [...group.members, { set, step, sides }] })
      }
  return [...groups].map(([key, { school, members }]) => plotOf(key, { school, members }, sets))
}

function plotOf(
  key: string,
  { school, members }: { school: School; members: readonly Member[] },
  sets: readonly RadioSet[],
): ChartPlot {
  const spacingKHz = spacingOf(members[0]!.step.band) / 1e3
  const place = placeWords(members[0]!.step)
  const ceilings = members.flatMap(({ sides }) => sides.map(({ ceiling }) => ceiling.ceilingDb))
  const most = Math.max(
    60,
    ...ceilings,
    ...members.flatMap(({ sides }) => sides.map(({ found }) => found.value)),
  )
  const words = members.flatMap(({ set, sides }) =>
    sides.map(
      ({ slot, found, ceiling }) =>
        `${nameBeside(set, sets)}, ${slot.label}: ${ceiling.isLowerBound ? 'at least ' : ''}${printDb(found.value)}`,
    ),
  )
  return {
    kind: 'chart',
    id: `${NEIGHBOUR_ID}:${key}`,
    stationId: NEIGHBOUR_ID,
    title: `What the next channel must do to disturb, ${place}`,
    subtitle: `dB above the wanted signal, by ${SCHOOLS[school].title}, with 95 % ranges; an arrow: at least`,
    spoken: `What the next channel must do to disturb, ${place}. ${words.join('; ')}.`,
    x: {
      title: 'kHz from the channel',
      scale: 'linear',
      from: -1.6 * spacingKHz,
      to: 1.6 * spacingKHz,
      signed: true,
    },
    y: { title: 'dB', scale: 'linear', from: 0, to: Math.ceil((most + 8) / 20) * 20 },
    series: members.map(({ set, sides }) => ({
      name: nameBeside(set, sets),
      shape: 'points',
      points: sides.map(({ side, found, ceiling }) => ({
        x: (side === 'lower' ? -1 : 1) * spacingKHz,
        y: found.value,
        low: found.value - found.budget.range,
        high: found.value + found.budget.range,
        ...(ceiling.isLowerBound ? { bound: 'above' as const } : {}),
      })),
    })),
    marks: [],
    shades:
      ceilings.length > 0
        ? [
            {
              words: 'hidden by the generator’s own noise',
              fromX: -1.6 * spacingKHz,
              toX: 1.6 * spacingKHz,
              fromY: Math.max(...ceilings),
            },
          ]
        : [],
  }
}
