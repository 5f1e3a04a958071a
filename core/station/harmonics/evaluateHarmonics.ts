import { isGraver, type Verdict, verdictWithout, verdictWords, worstVerdict } from '../../decision'
import {
  dbmFromWatts,
  MINUS,
  printDb,
  printDbm,
  printFrequencyShort,
  printWatts,
  wattsFromDbm,
} from '../../quantity'
import type { Reading } from '../../review'
import {
  bandwidthNote,
  emissionEdges,
  limitsOfCarrier,
  type LimitsOfCarrier,
  type Rulebook,
  strictestOf,
} from '../../rules'
import { carrierFacts } from '../carrierFacts'
import type { Question, Slot, SlotResult, Step, StepResult } from '../contract'
import { correctReading, type CorrectedReading, isCorrected } from '../correctReading'
import type { StationContext } from '../stationContext'
import { stepDependencies } from '../stepDependencies'
import { stepReach } from '../stepReach'
import { type CarrierForLimit, carrierForLimit, meteredCarrier } from './carrierForLimit'
import { emissionOf, type Judged, judgeHarmonic } from './judgeHarmonic'
import { ambientSlotId, momentWords, moreSlots } from './moments'
import { offersFor } from './offers'

const ABSURD_BELOW_DB = 6
const ABSURD_ABOVE_DB = 3

/** Judges every harmonic of one step; the step's verdict is the worst of ×2 to ×10. */
export function evaluateHarmonics(step: Step, context: StationContext): StepResult {
  const more = moreSlots(step, context)
  const planned = new Set(step.slots.map(({ id }) => id))
  const extra = [...context.readingsOf(step).values()]
    .filter(({ slot }) => !planned.has(slot))
    .flatMap(reading => [reading, correctReading(reading, context)])
  return context.reuse(
    step,
    [...stepDependencies(step, context), meteredCarrier(step, context), context.review.padTests, ...extra],
    () => evaluate(step, more, context),
  )
}

function evaluate(step: Step, more: readonly Slot[], context: StationContext): StepResult {
  const carrier = carrierForLimit(step, context)
  const books = carrier ? booksFor(step, carrier, context) : []
  const planned = step.slots.map(slot => slotResult(step, slot, carrier, books, context))
  const slots =
    more.length === 0
      ? planned
      : [...planned, ...more.map(slot => slotResult(step, slot, carrier, books, context))]
  const worst = worstVerdict(slots.slice(1).map(result => ({ member: result, verdict: result.verdict })))!
  const read = planned.reduce((count, result) => count + (result.reading ? 1 : 0), 0)
  const possible = planned.reduce(
    (count, result) => count + (result.reading || stepReach(step, result.slot, context).covered ? 1 : 0),
    0,
  )
  return {
    step,
    slots,
    verdict: worst.verdict,
    governs: worst.governs,
    words:
      read + more.length > 0 ? `${worst.governs.words}${momentWords(worst.governs.slot)}` : 'Not measured',
    offers: offersFor(step, worst.governs, context),
    questions: slots.flatMap(result => askAbout(step, result, slots[0]!, context)),
    progress: { read, possible },
  }
}

interface BookLimits {
  rulebook: Rulebook
  limits: LimitsOfCarrier
}

/** The rulebooks of a step, ready for the harmonics of its carrier. */
function booksFor(step: Step, carrier: CarrierForLimit, context: StationContext): BookLimits[] {
  const facts = carrierFacts(step, carrier.powerW)
  const ready = (rulebook: Rulebook) => ({
    rulebook,
    limits: limitsOfCarrier(
      rulebook,
      facts,
      context.once(`edges:${rulebook.id}`, () => ({ edges: emissionEdges(rulebook) })).edges,
    ),
  })
  return context.rulebooksOf(step.band).map(ready)
}

function slotResult(
  step: Step,
  slot: Slot,
  carrier: CarrierForLimit | null,
  books: readonly BookLimits[],
  context: StationContext,
): SlotResult {
  const reading = context.reading(step.set.id, step.id, slot.id) ?? null
  const answer = reading && correctReading(reading, context)
  if (reading && answer && isCorrected(answer) && carrier && slot.id !== 'x1') {
    const { corrected, notes } = besideAmbient(step, slot, answer, context)
    return judgedSlot(step, slot, { reading, corrected, carrier, books, ambient: notes }, context)
  }
  const base = {
    slot,
    reading,
    corrected: null,
    figure: null,
    limit: null,
    each: [],
    yardstick: null,
    ratio: null,
    notes: [],
    missing: null,
  }
  const left = reading ? null : context.skipReason(step)
  if (left !== null)
    return {
      ...base,
      verdict: verdictWithout('not-covered', `Left out: ${left}`),
      words: 'Left out',
      missing: 'open',
    }
  if (!reading || !answer) {
    const reach = stepReach(step, slot, context)
    const why = reach.covered ? 'Not measured yet.' : reach.why
    const limit =
      carrier && slot.id !== 'x1' ? strictestOf(books.map(({ limits }) => limits(emissionOf(slot)))) : null
    return {
      ...base,
      limit,
      verdict: verdictWithout('not-covered', why),
      words: reach.covered ? 'Not measured' : 'Not covered',
      missing: reach.covered ? 'open' : 'out-of-reach',
    }
  }
  if (!isCorrected(answer))
    return {
      ...base,
      verdict: verdictWithout('not-covered', answer.why),
      words: 'Not covered',
      notes: [answer.why],
    }
  if (slot.id === 'x1')
    return {
      ...base,
      corrected: answer,
      verdict: verdictWithout('observation', null),
      words: `carrier, ${printWatts(wattsFromDbm(answer.levelDbm))}`,
      notes: answer.notes,
    }
  return {
    ...base,
    corrected: answer,
    verdict: verdictWithout(
      'not-covered',
      'The carrier’s power is not known, so no limit can be worked out.',
    ),
    words: 'Carrier not read yet',
    notes: answer.notes,
  }
}

interface ToJudge {
  reading: Reading
  corrected: CorrectedReading
  carrier: CarrierForLimit
  books: readonly BookLimits[]
  ambient: string[]
}

function judgedSlot(step: Step, slot: Slot, of: ToJudge, context: StationContext): SlotResult {
  const { reading, corrected, carrier, books } = of
  const judge = ({ rulebook, limits }: BookLimits): Judged => {
    const judged = judgeHarmonic(corrected, { rulebook, step, slot, carrier, context, limits })
    const verdict = withDoubt(judged.verdict, reading)
    return verdict === judged.verdict ? judged : { ...judged, verdict, words: verdictWords(verdict) }
  }
  const each = books.map(judge)
  const governing = governingOf(each)
  const own =
    context.yardstick && governing.limit.kind === 'no-figure'
      ? judge({
          rulebook: context.yardstick,
          limits: limitsOfCarrier(context.yardstick, carrierFacts(step, carrier.powerW), null),
        })
      : null
  return {
    slot,
    reading,
    corrected,
    figure: null,
    limit: governing.limit,
    verdict: governing.verdict,
    ratio: governing.ratio,
    yardstick: own,
    each,
    missing: null,
    // Words are made when somebody reads them; slots are judged by the ten thousand.
    get words() {
      return governing.words
    },
    get notes() {
      return notesOf(of, governing, context)
    },
  }
}

function notesOf(
  { reading, corrected, carrier, ambient }: ToJudge,
  governing: Judged,
  context: StationContext,
): string[] {
  const bandwidth =
    governing.limit.kind === 'limit'
      ? bandwidthNote(governing.limit.referenceBandwidthHz, measuredInHz(reading, context))
      : null
  return [
    ...corrected.notes,
    ...ambient,
    ...(carrier.from === 'claim'
      ? ['The limit is worked out from the claim until the carrier is read.']
      : []),
    ...(reading.doubt?.kind === 'coarse-trace' ? [coarseWords(reading)] : []),
    ...(bandwidth ? [bandwidth] : []),
  ]
}

/**
 * What the ambient sweep showed at the same place: a reading that hardly stands above it is only an upper
 * bound.
 */
function besideAmbient(
  step: Step,
  slot: Slot,
  corrected: CorrectedReading,
  context: StationContext,
): { corrected: CorrectedReading; notes: string[] } {
  const ambient = context.reading(step.set.id, step.id, ambientSlotId(slot))
  const unkeyed = ambient && correctReading(ambient, context)
  if (!unkeyed || !isCorrected(unkeyed)) return { corrected, notes: [] }
  const aboveDb = corrected.atInstrumentDbm - unkeyed.atInstrumentDbm
  if (aboveDb >= WELL_ABOVE_AMBIENT_DB)
    return {
      corrected,
      notes: [`With the radio unkeyed it was ${printDb(aboveDb, 0)} lower: this is the radio’s own.`],
    }
  if (aboveDb >= ABOVE_AMBIENT_DB)
    return {
      corrected,
      notes: [`With the radio unkeyed it was only ${printDb(aboveDb)} lower: part of it is not the radio’s.`],
    }
  return {
    corrected: { ...corrected, isUpperBound: true },
    notes: [
      `With the radio unkeyed it was ${printDb(Math.abs(aboveDb))} ${aboveDb < 0 ? 'higher' : 'lower'}: it was there anyway, so the radio’s own is at most this.`,
    ],
  }
}

const ABOVE_AMBIENT_DB = 3
const WELL_ABOVE_AMBIENT_DB = 10

/**
 * The rulebook that governs: the gravest verdict of those with a figure; what cannot be judged before what
 * has none.
 */
function governingOf(each: readonly Judged[]): Judged {
  let gravest: Judged | null = null
  for (const one of each)
    if (one.limit.kind === 'limit' && (gravest === null || isGraver(one.verdict, gravest.verdict)))
      gravest = one
  return gravest ?? each.find(({ limit }) => limit.kind === 'cannot-judge') ?? each[0]!
}

function measuredInHz(reading: Reading, context: StationContext): number | null {
  if (reading.doubt) return reading.doubt.resolutionBandwidthHz
  const instrument = context.instrument(reading.instrumentId)
  return instrument?.kind === 'spectrum-analyser' ? instrument.resolutionBandwidthHz : null
}

/** A trace that may have stepped over a peak can show that something is there, not that nothing is. */
function withDoubt(verdict: Verdict, reading: Reading): Verdict {
  return reading.doubt?.kind === 'coarse-trace' && verdict.state === 'inside'
    ? { ...verdict, state: 'not-covered', why: coarseWords(reading) }
    : verdict
}

function coarseWords(reading: Reading): string {
  const doubt = reading.doubt!
  const rbw =
    doubt.resolutionBandwidthHz === null
      ? 'its resolution bandwidth is not known'
      : `wider than its resolution bandwidth of ${printFrequencyShort(doubt.resolutionBandwidthHz)}`
  return `The trace’s points are ${printFrequencyShort(doubt.stepHz)} apart, ${rbw}: a peak can fall between two of them, so this cannot show that it is clean.`
}

function askAbout(step: Step, result: SlotResult, first: SlotResult, context: StationContext): Question[] {
  const { reading, corrected, slot } = result
  if (!reading || !corrected) return []
  const chain = context.chain(reading.chainId)
  const instrument = chain && context.instrument(chain.instrumentId)
  if (instrument?.kind === 'spectrum-analyser' && corrected.atInstrumentDbm > instrument.damageDbm)
    return [
      {
        slotId: slot.id,
        words: `${reading.text} would be above the damage level of ${instrument.name} (${printDbm(instrument.damageDbm, 0)}). ${corrected.atInstrumentDbm > 0 ? `Was it ${MINUS}${Math.abs(reading.value)}?` : 'A slip of the sign?'}`,
      },
    ]
  if (slot.id === 'x1') return askAboutCarrier(step, slot, corrected)
  if (first.corrected && corrected.levelDbm >= first.corrected.levelDbm)
    return [
      {
        slotId: slot.id,
        words: `${slot.label} reads as strong as the carrier or stronger. Are the two lines swapped, or a sign lost?`,
      },
    ]
  return []
}

function askAboutCarrier(step: Step, slot: Slot, corrected: CorrectedReading): Question[] {
  if (step.claim.kind !== 'watts') return []
  const apartDb = corrected.levelDbm - dbmFromWatts(step.claim.powerW)
  if (apartDb > -ABSURD_BELOW_DB && apartDb < ABSURD_ABOVE_DB) return []
  return [
    {
      slotId: slot.id,
      words: `The carrier comes to ${printDbm(corrected.levelDbm)} at the radio, ${printDb(Math.abs(apartDb))} ${apartDb > 0 ? 'above' : 'below'} the claim. Is every pad in the chain, and the offset as given at the bench check?`,
    },
  ]
}
