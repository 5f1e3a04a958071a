import type { Context } from '../../../context'
import { criteriaOf, curveBand, figureName } from '../../../hearing'
import type { ChartPlot, Plot, PlotSeries } from '../../../plot'
import { printDb, printDbm, printRange } from '../../../quantity'
import { type RadioSet, nameBeside } from '../../../review'
import { placeWords, type Step } from '../../../step'
import { evaluateSensitivity } from './evaluate'
import { planSensitivity, SENSITIVITY_ID } from './plan'
import { type Hearing, hearingOf } from './points'

/** Higher is drawn as this, dB: what the audio can show is not the radio’s merit. */
const TOP_DB = 40

interface Member {
  set: RadioSet
  step: Step
}

/** What is heard at each level, radios beside each other, with the curve that fits and the level of the mark. */
export function plotSensitivity(sets: readonly RadioSet[], context: Context): Plot[] {
  const groups = new Map<string, Member[]>()
  for (const set of sets)
    for (const step of planSensitivity(set, context)) {
      if (hearingOf(step, context).points.length === 0) continue
      const place = placeWords(step)
      groups.set(place, [...(groups.get(place) ?? []), { set, step }])
    }
  return [...groups].map(([place, members]) => plotOf(place, members, { sets, context }))
}

function plotOf(
  place: string,
  members: readonly Member[],
  { sets, context }: { sets: readonly RadioSet[]; context: Context },
): ChartPlot {
  const heard = members.map(({ set, step }) => ({
    name: nameBeside(set, sets),
    step,
    hearing: hearingOf(step, context),
  }))
  const levels = heard.flatMap(({ hearing }) => hearing.points.map(({ levelDbm }) => levelDbm))
  const ends = {
    fromDbm: Math.floor((Math.min(...levels) - 2) / 5) * 5,
    toDbm: Math.ceil((Math.max(...levels) + 2) / 5) * 5,
  }
  const { step } = members[0]!
  const criterion = criteriaOf(step.band)[0]!
  const found = heard.flatMap(one => reached(one, context))
  const figure = figureName(step.band)
  return {
    kind: 'chart',
    id: `${SENSITIVITY_ID}:${place}`,
    stationId: SENSITIVITY_ID,
    title: `How well it hears, ${place}`,
    subtitle: [`${figure} in dB over dBm at the socket`, ...found].join('; '),
    spoken: `How well it hears, ${place}. ${found.join('; ') || 'The mark is not reached yet'}.`,
    x: { title: 'dBm at the socket', scale: 'linear', from: ends.fromDbm, to: ends.toDbm },
    y: { title: `${figure}, dB`, scale: 'linear', from: 0, to: TOP_DB },
    series: heard.map(one => seriesOf(one, ends)),
    marks: [{ title: criterion.title, y: criterion.db, kind: 'criterion' }],
    shades: [],
  }
}

/** The curve that fits the points; the points alone while there is no curve. */
function seriesOf(
  { name, hearing }: { name: string; hearing: Hearing },
  ends: { fromDbm: number; toDbm: number },
): PlotSeries {
  const band = curveBand(hearing.points.length > 1 ? hearing.curves : [], ends)
  if (band.length > 0)
    return {
      name,
      shape: 'line',
      points: band.map(({ levelDbm, middleDb }) => ({ x: levelDbm, y: middleDb })),
    }
  const points = hearing.points.map(({ levelDbm, sinadDb, scatterDb }) => ({
    x: levelDbm,
    y: sinadDb,
    low: sinadDb - 2 * scatterDb,
    high: sinadDb + 2 * scatterDb,
  }))
  return { name, shape: 'points', points }
}

/** The level at which the mark is reached, in words. */
function reached({ name, step }: { name: string; step: Step }, context: Context): string[] {
  const mark = evaluateSensitivity(step, context).slots.find(({ slot }) => slot.kind.is === 'criterion')
  const at = mark?.found
  return at && mark
    ? [
        `${name}: ${printDb(criteriaOf(step.band)[0]!.db, 0)} at ${printDbm(at.value)} ${printRange(at.budget)}`,
      ]
    : []
}
