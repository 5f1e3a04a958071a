import type { Context } from '../../../context'
import { figureIn, levelIn } from '../../../judging'
import { printDb, printSigned } from '../../../quantity'
import type { LevelReading } from '../../../review'
import { correctReading, type Found, isCorrected, type Step } from '../../../step'
import { budget, contribution, type Contribution, repeatsContribution } from '../../../uncertainty'
import { GENERATOR } from '../paths'

/** What repeating alone leaves open where there is one reading, ± dB (assumed; common practice, no source). */
const ONE_READING_DB = 1

/** The reference may move by this before the generator or the meter is asked about, dB. */
const REFERENCE_DB = 1

/** The 12 dB level before and after a strong signal. */
export interface Survival {
  found: Found
  before: readonly number[]
  after: readonly number[]
  /** Strongest signal it was put through, dBm. */
  mostDbm: number | null
  reading: LevelReading
  isChanged: boolean
  words: string
}

/** Before against after; null before both are read. Generator and path are the same and cancel. */
export function survivalOf(step: Step, context: Context): Survival | null {
  const before = levelsOf(step, 'before', context)
  const after = levelsOf(step, 'after', context)
  const reading = after.at(-1)?.reading
  if (before.length === 0 || !reading) return null
  const [earlier, later] = [before, after].map(levels => levels.map(({ levelDbm }) => levelDbm))
  const found: Found = {
    value: mean(later!) - mean(earlier!),
    unit: 'dB',
    budget: budget(
      [...scatter('before', earlier!), ...scatter('after', later!), ...stepLines(reading, context)],
      context.distributions,
    ),
    isUpperBound: false,
    path: null,
    notes: [],
  }
  const isChanged = Math.abs(found.value) > found.budget.range
  const moved = `the 12 dB level moved by ${printSigned(found.value, 1)} dB`
  return {
    found,
    before: earlier!,
    after: later!,
    mostDbm: mostOf(step, context),
    reading,
    isChanged,
    words: isChanged
      ? `${moved}: more than ±${printDb(found.budget.range)} of repeating; damage`
      : `As before, within ±${printDb(found.budget.range)}`,
  }
}

function levelsOf(
  step: Step,
  moment: string,
  context: Context,
): { levelDbm: number; reading: LevelReading }[] {
  return step.slots
    .filter(({ kind }) => kind.is === moment)
    .flatMap(slot => {
      const reading = levelIn(step, slot, context)
      const found = reading && correctReading(reading, context, { role: GENERATOR, signal: 'to-radio' })
      return reading && found && isCorrected(found) ? [{ levelDbm: found.value, reading }] : []
    })
}

function scatter(moment: string, levels: readonly number[]): Contribution[] {
  const line = levels.length > 1 ? repeatsContribution(levels) : null
  if (line) return [{ ...line, id: `repeats:${moment}`, label: `${line.label}, ${moment}` }]
  if (levels.length > 1) return []
  return [
    contribution({
      id: `one:${moment}`,
      group: 'repeats',
      label: `One reading ${moment}: scatter not known`,
      distribution: 'rectangular',
      halfWidth: ONE_READING_DB,
      assumed: true,
    }),
  ]
}

function stepLines(reading: LevelReading, context: Context): Contribution[] {
  const generator = context.instrument(reading.instrumentId)
  const stepDb = generator?.kind === 'signal-generator' ? generator.resolution : 0
  if (stepDb === 0) return []
  return ['before', 'after'].map(moment =>
    contribution({
      id: `step:${moment}`,
      group: 'stepping',
      label: `Step of the generator, ${moment}`,
      distribution: 'rectangular',
      halfWidth: stepDb / 2,
    }),
  )
}

function mostOf(step: Step, context: Context): number | null {
  const done = step.slots.flatMap(({ id, kind }) =>
    kind.is === 'hit' && figureIn(step, { id }, context)?.seen.value === 1 ? [Number(kind.levelDbm)] : [],
  )
  return done.length > 0 ? Math.max(...done) : null
}

/**
 * How far the reference between the readings moved from before to after, on average, dB, where that is too much;
 * null where it did not.
 */
export function referenceMoved(step: Step, context: Context): number | null {
  const [before, after] = (['before', 'after'] as const).map(wanted =>
    step.slots.flatMap(slot =>
      slot.kind.is === 'reference' && slot.kind.moment === wanted
        ? (figureIn(step, slot, context)?.seen.value ?? [])
        : [],
    ),
  ) as [number[], number[]]
  if (before.length === 0 || after.length === 0) return null
  const moved = mean(after) - mean(before)
  return Math.abs(moved) > REFERENCE_DB ? moved : null
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length
}
