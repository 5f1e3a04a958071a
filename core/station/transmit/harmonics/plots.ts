import type { Context } from '../../../context'
import type { ChartPlot, Plot, PlotMark, PlotPoint, PlotShade } from '../../../plot'
import { printDbm, printMhz } from '../../../quantity'
import { type RadioSet, nameBeside } from '../../../review'
import { isRead, type SlotResult, type StepResult } from '../../../step'
import { evaluateHarmonics } from './evaluate'
import { harmonicOf, HIGHEST_HARMONIC, momentOf } from './harmonicSlots'
import { HARMONICS_ID, planHarmonics } from './plan'

/** ×2 and so on. */
const NAMES = Array.from({ length: HIGHEST_HARMONIC - 1 }, (_unused, i) => `×${i + 2}`)

interface Member {
  set: RadioSet
  result: StepResult
}

/** Harmonics of every channel and level something was read at, radios beside each other, under the limit. */
export function plotHarmonics(sets: readonly RadioSet[], context: Context): Plot[] {
  const groups = new Map<string, Member[]>()
  for (const set of sets)
    for (const step of planHarmonics(set, context)) {
      const result = evaluateHarmonics(step, context)
      if (linesOf(result).length === 0) continue
      const place = `${printMhz(step.channel.frequencyHz)}, ${step.setting.level.name}`
      groups.set(place, [...(groups.get(place) ?? []), { set, result }])
    }
  return [...groups].map(([place, members]) => plotOf(place, members, sets))
}

function plotOf(place: string, members: readonly Member[], sets: readonly RadioSet[]): ChartPlot {
  const series = members.map(({ set, result }) => ({
    name: nameBeside(set, sets),
    shape: 'stems' as const,
    points: linesOf(result).map(pointOf),
  }))
  const marks = limitsOf(members.flatMap(({ result }) => result.slots))
  const levels = [...series.flatMap(({ points }) => points.map(({ y }) => y)), ...marks.map(({ y }) => y)]
  const spoken = members.map(({ set, result }) => {
    const lines = linesOf(result).map(
      ({ slot, found }) => `${slot.label} ${found!.isUpperBound ? 'below ' : ''}${printDbm(found!.value)}`,
    )
    return `${nameBeside(set, sets)}: ${lines.join(', ')}`
  })
  return {
    kind: 'chart',
    id: `${HARMONICS_ID}:${place}`,
    stationId: HARMONICS_ID,
    title: `Harmonics of ${place}`,
    subtitle: 'dBm at the socket, with 95 % ranges; the line is the limit; an arrow: below what can be seen',
    spoken: `Harmonics of ${place}. ${spoken.join('. ')}.`,
    x: { title: '', scale: { names: NAMES } },
    y: {
      title: 'dBm',
      scale: 'linear',
      from: Math.floor((Math.min(...levels) - 8) / 10) * 10,
      to: Math.ceil((Math.max(...levels) + 6) / 10) * 10,
    },
    series,
    marks,
    shades: unseen(members.map(({ result }) => result)),
  }
}

/** Settled harmonics that were read and could be corrected. */
function linesOf({ slots }: StepResult): SlotResult[] {
  return slots.filter(
    one => isRead(one) && one.found && (harmonicOf(one.slot) ?? 1) > 1 && momentOf(one.slot) === 'settled',
  )
}

function pointOf({ slot, found, verdict }: SlotResult): PlotPoint {
  const { value, budget, isUpperBound } = found!
  return {
    x: harmonicOf(slot)! - 2,
    y: value,
    low: value - budget.range,
    high: value + budget.range,
    state: verdict.state,
    ...(isUpperBound ? { bound: 'below' as const } : {}),
  }
}

/** The limit at each harmonic; where neighbours share one it is one line. */
function limitsOf(slots: readonly SlotResult[]): PlotMark[] {
  const strictest = new Map<number, number>()
  for (const { slot, limit } of slots) {
    const n = harmonicOf(slot)
    if (n === null || n < 2 || limit?.kind !== 'limit') continue
    strictest.set(n, Math.min(strictest.get(n) ?? Infinity, limit.limitDbm))
  }
  const marks: PlotMark[] = []
  for (const [n, y] of [...strictest].sort(([a], [b]) => a - b)) {
    const last = marks.at(-1)
    if (last && last.to === n - 3 && Math.abs(last.y - y) < 1e-9) last.to = n - 2
    else marks.push({ title: '', y, from: n - 2, to: n - 2, kind: 'limit' })
  }
  return marks.map(mark => ({ ...mark, title: mark === marks[0] ? `limit ${printDbm(mark.y)}` : '' }))
}

/** Harmonics that no radio was read at. */
function unseen(results: readonly StepResult[]): PlotShade[] {
  const seen = new Set(results.flatMap(result => linesOf(result).map(({ slot }) => harmonicOf(slot)! - 2)))
  const shades: PlotShade[] = []
  for (const [x] of NAMES.entries()) {
    if (seen.has(x)) continue
    const last = shades.at(-1)
    if (last && last.toX === x - 1) last.toX = x
    else shades.push({ words: 'not covered', fromX: x, toX: x })
  }
  return shades
}
