import type { Context } from '../../../context'
import type { ChartPlot, Plot, PlotMark, PlotPoint } from '../../../plot'
import { printMhzFigure, printWatts, wattsFromDbm } from '../../../quantity'
import { type RadioSet, nameBeside } from '../../../review'
import { isRead, type StepResult } from '../../../step'
import { evaluateCarrierPower } from './evaluate'
import { CARRIER_POWER_ID, planCarrierPower } from './plan'

/** Power at the socket of radios beside each other, by channel and level, with what their makers claim. */
export function plotCarrierPower(sets: readonly RadioSet[], context: Context): Plot[] {
  const read = sets
    .map(set => ({
      set,
      results: planCarrierPower(set, context)
        .map(step => evaluateCarrierPower(step, context))
        .filter(({ slots }) => slots[0] && isRead(slots[0]) && slots[0].found),
    }))
    .filter(({ results }) => results.length > 0)
  if (read.length === 0) return []
  const names = [...new Set(read.flatMap(({ results }) => results.map(nameOf)))]
  const series = read.map(({ set, results }) => ({
    name: nameBeside(set, sets),
    shape: 'points' as const,
    points: results.map(result => pointOf(result, names)),
  }))
  const marks = read.flatMap(({ results }) => results.flatMap(result => claimOf(result, names)))
  const words = read.flatMap(({ set, results }) =>
    results.map(({ step, slots }) => {
      const watts = printWatts(wattsFromDbm(slots[0]!.found!.value))
      return `${nameBeside(set, sets)}, ${nameOf({ step }).replace('\n', ' MHz ')}: ${watts}`
    }),
  )
  const plot: ChartPlot = {
    kind: 'chart',
    id: CARRIER_POWER_ID,
    stationId: CARRIER_POWER_ID,
    title: 'Power at the socket',
    subtitle: 'W into a load, with 95 % ranges; dashed: what the maker claims',
    spoken: `Power at the socket. ${words.join('; ')}.`,
    x: { title: 'MHz and level', scale: { names } },
    y: {
      title: 'W',
      scale: 'linear',
      from: 0,
      to: topOf(
        series.flatMap(one => one.points),
        marks,
      ),
    },
    series,
    marks: [...new Map(marks.map(mark => [`${mark.from}:${mark.y}`, mark])).values()],
    shades: [],
  }
  return [plot]
}

const nameOf = ({ step }: Pick<StepResult, 'step'>): string =>
  `${printMhzFigure(step.channel.frequencyHz)}\n${step.setting.level.name}`

function pointOf({ step, slots }: StepResult, names: readonly string[]): PlotPoint {
  const { found, verdict } = slots[0]!
  const { value, budget, isUpperBound } = found!
  return {
    x: names.indexOf(nameOf({ step })),
    y: wattsFromDbm(value),
    low: wattsFromDbm(value - budget.range),
    high: wattsFromDbm(value + budget.range),
    state: verdict.state,
    ...(isUpperBound ? { bound: 'below' as const } : {}),
  }
}

function claimOf({ step }: StepResult, names: readonly string[]): PlotMark[] {
  const at = names.indexOf(nameOf({ step }))
  return step.claim.kind === 'watts'
    ? [{ title: '', y: step.claim.powerW, from: at, to: at, kind: 'claim' }]
    : []
}

/** A little above the strongest: then no range is cut off. */
function topOf(points: readonly PlotPoint[], marks: readonly PlotMark[]): number {
  const most = Math.max(...points.map(({ y, high }) => high ?? y), ...marks.map(({ y }) => y))
  const power = 10 ** Math.floor(Math.log10(most))
  const steps = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10]
  return (steps.find(step => step * power >= most * 1.05) ?? 10) * power
}
