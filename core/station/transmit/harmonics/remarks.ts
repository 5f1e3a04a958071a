import type { Context } from '../../../context'
import { printDb, printMhz, printPlusMinus } from '../../../quantity'
import { type RadioSet, setShortName } from '../../../review'
import type { SlotResult } from '../../../step'
import type { Remark } from '../../contract'
import { evaluateHarmonics } from './evaluate'
import { isFirstLine } from './harmonicSlots'
import { planHarmonics } from './plan'

/** Samples of one model that disagree by more than the bench explains. */
export function harmonicsRemarks(sets: readonly RadioSet[], context: Context): Remark[] {
  const models = new Map<string, RadioSet[]>()
  for (const set of sets) models.set(modelKey(set), [...(models.get(modelKey(set)) ?? []), set])
  return [...models].flatMap(([key, samples]) => {
    const apart = samples.length > 1 ? widestDisagreement(samples, context) : null
    return apart ? [{ id: `samples:${key}`, title: TITLE, text: remarkText(apart) }] : []
  })
}

const TITLE = 'Two of the same model disagree'

function modelKey({ make, model }: RadioSet): string {
  return `${make} ${model}`.trim().toLowerCase()
}

function remarkText(apart: Disagreement): string {
  const { cleaner, other, line, differenceDb, rangeDb } = apart
  const where = `${line.result.slot.label} of ${printMhz(line.carrierHz)}`
  return (
    `${setShortName(cleaner)} is ${printDb(differenceDb, 0)} cleaner than ` +
    `${setShortName(other)} at ${where}, more than the ${printPlusMinus(rangeDb)} the bench can ` +
    'explain. Units of one box can differ this much: do not judge the model by one of them.'
  )
}

/** One harmonic of one radio. */
interface Line {
  key: string
  carrierHz: number
  result: SlotResult
}

interface Disagreement {
  cleaner: RadioSet
  other: RadioSet
  line: Line
  differenceDb: number
  rangeDb: number
}

function widestDisagreement(samples: readonly RadioSet[], context: Context): Disagreement | null {
  const read = samples.map(set => ({ set, lines: linesOf(set, context) }))
  const found = read.flatMap(cleaner =>
    read.filter(other => other !== cleaner).flatMap(other => disagreements(cleaner, other)),
  )
  const beyond = ({ differenceDb, rangeDb }: Disagreement) => differenceDb - rangeDb
  return found.reduce<Disagreement | null>(
    (widest, one) => (widest === null || beyond(one) > beyond(widest) ? one : widest),
    null,
  )
}

interface ReadSet {
  set: RadioSet
  lines: Line[]
}

/** Where one radio is cleaner than another by more than both ranges explain. */
function disagreements(cleaner: ReadSet, other: ReadSet): Disagreement[] {
  return cleaner.lines.flatMap(one => {
    const line = other.lines.find(({ key }) => key === one.key)
    const [a, b] = [one.result.found, line?.result.found]
    if (!line || !a || !b || b.isUpperBound) return []
    const differenceDb = b.value - a.value
    const rangeDb = Math.hypot(a.budget.range, b.budget.range)
    return differenceDb > rangeDb
      ? [{ cleaner: cleaner.set, other: other.set, line, differenceDb, rangeDb }]
      : []
  })
}

function linesOf(set: RadioSet, context: Context): Line[] {
  return planHarmonics(set, context).flatMap(step =>
    evaluateHarmonics(step, context)
      .slots.filter(({ slot }) => !isFirstLine(slot))
      .map(result => ({
        key: `${step.channel.frequencyHz}:${step.setting.level.name}:${result.slot.id}`,
        carrierHz: step.channel.frequencyHz,
        result,
      })),
  )
}
