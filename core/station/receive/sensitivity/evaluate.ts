import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  claimsFor,
  criteriaOf,
  criterionLevel,
  type CriterionLevel,
  MOST_OFF_HZ,
  microvolts,
  type NoCriterionLevel,
  strayPoint,
} from '../../../hearing'
import { evaluateSlots, figureIn, NOTHING, observedFigure, observedLevel, openSlot } from '../../../judging'
import {
  correctReading,
  isCorrected,
  isLevel,
  type Question,
  type Slot,
  type SlotResult,
  type Step,
  type StepResult,
} from '../../../step'
import { printDb, printDbm, printNumber, printSigned, UNIT_SPACE } from '../../../quantity'
import type { ReceiverClaim } from '../../../review'
import type { ReceiverMethod } from '../../../rules'
import { type AudioFilter, type AudioWeighting, weightingWords } from '../../../signal'
import { judgedDerived, openDerived } from '../../derivedResult'
import { GENERATOR } from '../paths'
import { criterionFound } from './criterionFound'
import { hearingWeighting } from './plan'
import { familyOf, hearingOf } from './points'

/** A leak check within this of the SINAD with the cable on: the figure is not the radio’s, dB. */
const LEAK_DB = 1

/** By ear it is known to this, dB (common practice, no source). */
const BY_EAR_DB = 3

/** Below this a leak check is offered, dBm. */
export const LEAK_BELOW_DBM = -115

/** Works out one step: the curve from its points, and each mark on it. */
export const evaluateSensitivity = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    ask: slots => questionsOf(step, slots, context),
    summary: summaryOf,
  })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  switch (slot.kind.is) {
    case 'criterion':
      return markResult(step, slot, context)
    case 'by-ear':
      return byEar(step, slot, context)
    case 'quieting-20':
      return quietingResult(step, slot, context)
    default: {
      const reading = figureIn(step, slot, context)
      if (!reading) return openSlot(step, slot, context)
      return observedFigure(slot, reading, { words: pointWords(step, slot, context) }, context)
    }
  }
}

function pointWords(step: Step, slot: Slot, context: Context): string {
  const { points, stale } = hearingOf(step, context)
  const point = points.find(one => one.slot.id === slot.id)
  if (point) return `${printDbm(point.levelDbm)} at the socket`
  return stale.some(one => one.slot.id === slot.id)
    ? 'before the frequency was put right: read again'
    : 'noted'
}

/** Words for what is missing to read a mark off the curve. */
const MISSING: Record<NoCriterionLevel['kind'], { words: string; why: string }> = {
  'too-few': { words: 'Not measured', why: 'Two points at least: one above the mark, one below.' },
  'read-lower': { words: 'Read lower', why: 'The mark lies more than 2 dB below every reading.' },
  'read-higher': { words: 'Read higher', why: 'The mark lies more than 2 dB above every reading.' },
  never: {
    words: 'Never reached',
    why: 'The curve may end below the mark: its own distortion is a ceiling.',
  },
}

function markResult(step: Step, slot: Slot, context: Context): SlotResult {
  const criterion = criteriaOf(step.band).find(({ id }) => id === slot.kind.criterion)!
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const { points, curves } = hearingOf(step, context)
  const level = criterionLevel(points, curves, criterion.db)
  if (level.kind !== 'level') return openDerived(slot, MISSING[level.kind].words, MISSING[level.kind].why)
  const found = criterionFound(level, points, context)
  const weighting = hearingWeighting(context)
  const method = methodOf(criterion.id, weighting.filter)
  return judgedDerived(
    step,
    {
      slot,
      found,
      reading: points.at(-1)!.reading,
      notes: notesOf(level, { weighting, count: points.length }),
    },
    {
      claim: claimOf(step, criterion.id),
      subject: { about: 'sensitivity', method },
      wordsWithout: `${levelWords(level.levelDbm)}; the maker does not say`,
    },
    context,
  )
}

type CriterionId = ReturnType<typeof criteriaOf>[number]['id']

/** Which quantity a mark is: another filter makes it another quantity. */
function methodOf(id: CriterionId, filter: AudioFilter): ReceiverMethod {
  return id === 'sinad-20' && filter === 'psophometric' ? 'sinad-20-psophometric' : id
}

/** What the maker claims of a mark; nobody claims 10 dB SINAD, and (S+N)/N is another quantity. */
function claimOf({ band }: Step, id: CriterionId): ReceiverClaim | null {
  return id === 'sinad-10' ? null : claimsFor(band, id, band.channelSpacingHz)
}

function notesOf(
  { slope, standardUncertaintyDb }: CriterionLevel,
  { weighting, count }: { weighting: AudioWeighting; count: number },
): string[] {
  return [
    `A monotone curve through ${count} readings; ` +
      `it rises by ${printNumber(slope, 1)} dB per dB at the mark. ` +
      `Reading it leaves ${printDb(2 * standardUncertaintyDb, 2)} open.`,
    `Audio through ${weightingWords(weighting)}. Comparable only with the same mark, filter, ` +
      'deviation and de-emphasis.',
    'The receiver’s input is taken as VSWR 2 (assumed).',
  ]
}

/** A level as receivers are spoken of: dBm, and µV across the load and behind 50 Ω. */
export function levelWords(levelDbm: number): string {
  const { pdUv, emfUv } = microvolts(levelDbm)
  return `${printDbm(levelDbm)}, ${printNumber(pdUv, 3)}${UNIT_SPACE}µV pd, ${printNumber(emfUv, 3)}${UNIT_SPACE}µV emf`
}

function byEar(step: Step, slot: Slot, context: Context): SlotResult {
  return observedLevel(
    step,
    slot,
    ({ value }) => `${printDbm(value)}, to ±${BY_EAR_DB} dB: near 12 dB SINAD`,
    context,
  )
}

function quietingResult(step: Step, slot: Slot, context: Context): SlotResult {
  const reading = context.readingsOf(step).get(slot.id)
  if (!reading || !isLevel(reading)) return openSlot(step, slot, context)
  const found = correctReading(reading, context, { role: GENERATOR, signal: 'to-radio' })
  if (!isCorrected(found)) return openDerived(slot, 'Not covered', found.why)
  const claim = claimsFor(step.band, 'quieting-20', step.band.channelSpacingHz)
  const about = {
    claim,
    subject: { about: 'sensitivity' as const, method: 'quieting-20' as const },
    wordsWithout: levelWords(found.value),
  }
  if (claim) return judgedDerived(step, { slot, found, reading, notes: [] }, about, context)
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading,
    found,
    verdict: verdictWithout('observation', null),
    words: levelWords(found.value),
    notes: found.notes,
  }
}

/** The step in its first mark. */
function summaryOf(slots: readonly SlotResult[]) {
  const first = slots.find(({ slot }) => slot.kind.is === 'criterion')
  return first?.state === 'read' ? { verdict: first.verdict, words: first.words } : null
}

function questionsOf(step: Step, slots: readonly SlotResult[], context: Context): Question[] {
  const { points, stale, curves, best } = hearingOf(step, context)
  const ask = (slotId: string, words: string): Question => ({ slotId, words })
  const stray = strayPoint(points, curves, familyOf(step))
  const firstOff = 'f0'
  return [
    ...(best.kind === 'flat'
      ? [
          ask(
            firstOff,
            `SINAD changes by only ${printDb(best.spreadDb)} over the offsets: its top is flat. ` +
              'Read them at a lower level, where the skirts fall off.',
          ),
        ]
      : []),
    ...(best.kind === 'found' && Math.abs(best.offsetHz) > MOST_OFF_HZ
      ? [
          ask(
            firstOff,
            `The receiver hears best ${printSigned(best.offsetHz, 0)} Hz from the channel. ` +
              'Set the generator there for what follows.',
          ),
        ]
      : []),
    ...(stale.length > 0
      ? [
          ask(
            stale[0]!.slot.id,
            `${stale.length} of the points were read more than 0.5 kHz from where the receiver hears ` +
              'best: read them again.',
          ),
        ]
      : []),
    ...(stray
      ? [
          ask(
            points[stray.index]!.slot.id,
            `${points[stray.index]!.slot.label} lies ${printDb(Math.abs(stray.offDb))} ` +
              `${stray.offDb > 0 ? 'above' : 'below'} the curve of the others. A slip, ` +
              'another frequency, or someone at the volume?',
          ),
        ]
      : []),
    ...leakQuestion(step, slots, context).map(words => ask('leak', words)),
  ]
}

/** A leak check that leaves the SINAD standing: the figure is not the radio’s. */
function leakQuestion(step: Step, slots: readonly SlotResult[], context: Context): string[] {
  const leak = figureIn(step, { id: 'leak' }, context)
  const mark = slots.find(({ slot }) => slot.kind.is === 'criterion')?.found
  if (!leak)
    return mark && mark.value < LEAK_BELOW_DBM
      ? [
          `${printDbm(mark.value)} is little enough to leak past the cable: unplug it at the radio, ` +
            'lay it beside, and read SINAD once more.',
        ]
      : []
  const atDbm = leak.applied[GENERATOR]?.levelDbm
  const { points } = hearingOf(step, context)
  const beside = points.find(
    ({ reading }) => Math.abs((reading.applied[GENERATOR]?.levelDbm ?? Infinity) - (atDbm ?? 0)) < 0.05,
  )
  return beside && Math.abs(beside.sinadDb - leak.seen.value) <= LEAK_DB
    ? [
        `With the cable off SINAD is still ${printDb(leak.seen.value)}: ` +
          'the signal leaks around the cable, and the figure is not the radio’s.',
      ]
    : []
}
