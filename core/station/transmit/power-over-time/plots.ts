import type { Context } from '../../../context'
import type { ChartPlot, Plot } from '../../../plot'
import { printWatts, wattsFromDbm } from '../../../quantity'
import { type RadioSet, nameBeside } from '../../../review'
import { placeWords, type Step } from '../../../step'
import { type Droop, droopOf } from './droop'
import { evaluatePowerOverTime } from './evaluate'
import { planPowerOverTime, POWER_OVER_TIME_ID } from './plan'

interface Member {
  set: RadioSet
  step: Step
  droop: Droop
}

/** Power while kept keyed, radios beside each other. */
export function plotPowerOverTime(sets: readonly RadioSet[], context: Context): Plot[] {
  const groups = new Map<string, Member[]>()
  for (const set of sets)
    for (const step of planPowerOverTime(set, context)) {
      const droop = droopOf(evaluatePowerOverTime(step, context).slots, context.review.keyDowns)
      if (droop) groups.set(placeWords(step), [...(groups.get(placeWords(step)) ?? []), { set, step, droop }])
    }
  return [...groups].map(([place, members]) => plotOf(place, members, sets))
}

function plotOf(place: string, members: readonly Member[], sets: readonly RadioSet[]): ChartPlot {
  const watts = members.flatMap(({ droop }) => droop.points.map(({ levelDbm }) => wattsFromDbm(levelDbm)))
  const claims = members.flatMap(({ step }) => (step.claim.kind === 'watts' ? [step.claim.powerW] : []))
  const words = members.map(({ set, droop }) => {
    const points = droop.points.map(
      ({ atS, levelDbm }) => `${Math.round(atS)} s ${printWatts(wattsFromDbm(levelDbm))}`,
    )
    return `${nameBeside(set, sets)}: ${points.join(', ')}`
  })
  return {
    kind: 'chart',
    id: `${POWER_OVER_TIME_ID}:${place}`,
    stationId: POWER_OVER_TIME_ID,
    title: `Power while kept keyed, ${place}`,
    subtitle: 'W over seconds of key-down; dashed: what the maker claims',
    spoken: `Power while kept keyed, ${place}. ${words.join('. ')}.`,
    x: { title: 'seconds', scale: 'linear' },
    y: { title: 'W', scale: 'linear', from: 0, to: 1.2 * Math.max(...watts, ...claims) },
    series: members.map(({ set, droop }) => ({
      name: nameBeside(set, sets),
      shape: 'line',
      points: droop.points.map(({ atS, levelDbm }) => ({ x: atS, y: wattsFromDbm(levelDbm) })),
    })),
    marks: [...new Set(claims)].map(powerW => ({ title: '', y: powerW, kind: 'claim' })),
    shades: [],
  }
}
