import type { Context } from '../../../context'
import { type Verdict, verdictWithout, verdictWords, worstVerdict } from '../../../decision'
import { evaluateOnce, governingOf, levelIn, notCorrected, NOTHING, openSlot } from '../../../judging'
import { printFrequencyShort, printWatts, wattsFromDbm } from '../../../quantity'
import type { LevelReading, SeenLevel } from '../../../review'
import {
  bandwidthNote,
  emissionEdges,
  limitsOfCarrier,
  type LimitsOfCarrier,
  type Rulebook,
  strictestOf,
} from '../../../rules'
import {
  carrierFacts,
  correctReading,
  type FoundLevel,
  isCorrected,
  isRead,
  type Judgement,
  type Slot,
  type SlotResult,
  type Step,
  type StepResult,
} from '../../../step'
import { type CarrierForLimit, carrierForLimit } from '../carrierForLimit'
import { besideAmbient } from './ambient'
import { isFirstLine, momentWords, moreSlots } from './harmonicSlots'
import { emissionOf, judgeHarmonic } from './judgeHarmonic'
import { offersFor } from './offers'
import { askAboutHarmonic } from './questions'

/** Judges every harmonic of one step; the step's verdict is the worst of ×2 to ×10. */
export function evaluateHarmonics(step: Step, context: Context): StepResult {
  return evaluateOnce(step, context, () => {
    const carrier = carrierForLimit(step, context)
    const judging: StepJudging = { step, carrier, books: carrier ? booksFor(step, carrier, context) : [] }
    const planned = step.slots.map(slot => slotResult(slot, judging, context))
    const more = moreSlots(step, context).map(slot => slotResult(slot, judging, context))
    return summedUp(step, { planned, more }, context)
  })
}

function summedUp(
  step: Step,
  of: { planned: SlotResult[]; more: SlotResult[] },
  context: Context,
): StepResult {
  const slots = of.more.length === 0 ? of.planned : [...of.planned, ...of.more]
  const first = slots[0]!
  const worst = worstVerdict(slots.slice(1).map(member => ({ member, verdict: member.verdict })))!
  const anything = slots.some(isRead)
  return {
    step,
    slots,
    verdict: worst.verdict,
    governs: worst.governs,
    words: anything ? `${worst.governs.words}${momentWords(worst.governs.slot)}` : 'Not measured',
    offers: offersFor(step, worst.governs, context),
    questions: slots.flatMap(result => askAboutHarmonic(step, result, first, context)),
    progress: {
      read: of.planned.filter(isRead).length,
      possible: of.planned.filter(({ state }) => state !== 'out-of-reach').length,
    },
  }
}

interface BookLimits {
  rulebook: Rulebook
  limits: LimitsOfCarrier
}

/** What the slots of one step are judged with. */
interface StepJudging {
  step: Step
  carrier: CarrierForLimit | null
  books: readonly BookLimits[]
}

/** The rulebooks of a step, ready for the harmonics of its carrier. */
function booksFor(step: Step, carrier: CarrierForLimit, context: Context): BookLimits[] {
  const facts = carrierFacts(step, carrier.powerW)
  return context.rulebooksOf(step.band).map(rulebook => {
    const edges = context.derive(rulebook, 'edges', () => emissionEdges(rulebook))
    return { rulebook, limits: limitsOfCarrier(rulebook, facts, edges) }
  })
}

function slotResult(slot: Slot, judging: StepJudging, context: Context): SlotResult {
  const { step, carrier } = judging
  const reading = levelIn(step, slot, context)
  if (!reading) return openHarmonic(slot, judging, context)
  const found = correctReading(reading, context)
  if (!isCorrected(found)) return notCorrected(slot, reading, found.why)
  if (isFirstLine(slot))
    return shown(
      { slot, reading, found },
      {
        verdict: verdictWithout('observation', null),
        words: `carrier, ${printWatts(wattsFromDbm(found.value))}`,
      },
    )
  if (!carrier)
    return shown(
      { slot, reading, found },
      {
        verdict: verdictWithout(
          'not-covered',
          'The carrier’s power is not known, so no limit can be worked out.',
        ),
        words: 'Carrier not read yet',
      },
    )
  const beside = besideAmbient(step, slot, found, context)
  const read = { slot, reading, found: beside.found, ambient: beside.notes }
  return judgedSlot(read, { ...judging, carrier }, context)
}

/** Nothing read yet: the limit is shown all the same. */
function openHarmonic(slot: Slot, { step, carrier, books }: StepJudging, context: Context): SlotResult {
  const open = openSlot(step, slot, context)
  if (!carrier || isFirstLine(slot) || open.state === 'left-out') return open
  return { ...open, limit: strictestOf(books.map(({ limits }) => limits(emissionOf(slot)))) }
}

function shown(
  of: { slot: Slot; reading: LevelReading; found: FoundLevel },
  said: { verdict: Verdict; words: string },
): SlotResult {
  return { ...NOTHING, ...of, ...said, state: 'read', notes: of.found.notes }
}

interface ReadSlot {
  slot: Slot
  reading: LevelReading
  found: FoundLevel
  ambient: string[]
}

type KnownCarrier = StepJudging & { carrier: CarrierForLimit }

function judgedSlot(of: ReadSlot, judging: KnownCarrier, context: Context): SlotResult {
  const { slot, reading, found } = of
  const { step, carrier, books } = judging
  const judge = ({ rulebook, limits }: BookLimits): Judgement => {
    const judged = judgeHarmonic(found, { rulebook, step, slot, carrier, context, limits })
    const verdict = withDoubt(judged.verdict, reading.seen)
    return verdict === judged.verdict ? judged : { ...judged, verdict, words: verdictWords(verdict) }
  }
  const each = books.map(judge)
  const governing = governingOf(each)
  const yardstick = governing.limit.kind === 'no-figure' ? context.yardstick : null
  return {
    slot,
    state: 'read',
    reading,
    found,
    claim: null,
    limit: governing.limit,
    verdict: governing.verdict,
    ratio: governing.ratio,
    yardstick:
      yardstick &&
      judge({
        rulebook: yardstick,
        limits: limitsOfCarrier(yardstick, carrierFacts(step, carrier.powerW), null),
      }),
    each,
    // Words are made when somebody reads them; slots are judged by the ten thousand.
    get words() {
      return governing.words
    },
    get notes() {
      return notesOf(of, { carrier, governing, measuredHz: measuredInHz(reading, context) })
    },
  }
}

function notesOf(
  { reading, found, ambient }: ReadSlot,
  of: { carrier: CarrierForLimit; governing: Judgement; measuredHz: number | null },
): string[] {
  const { limit } = of.governing
  const bandwidth = limit.kind === 'limit' ? bandwidthNote(limit.referenceBandwidthHz, of.measuredHz) : null
  return [
    ...found.notes,
    ...ambient,
    ...(of.carrier.from === 'claim'
      ? ['The limit is worked out from the claim until the carrier is read.']
      : []),
    ...(reading.seen.doubt?.kind === 'coarse-trace' ? [coarseWords(reading.seen.doubt)] : []),
    ...(bandwidth ? [bandwidth] : []),
  ]
}

function measuredInHz({ seen, instrumentId }: LevelReading, context: Context): number | null {
  if (seen.doubt) return seen.doubt.resolutionBandwidthHz
  const instrument = context.instrument(instrumentId)
  return instrument?.kind === 'spectrum-analyser' ? instrument.resolutionBandwidthHz : null
}

/** A trace that may have stepped over a peak can show that something is there, not that nothing is. */
function withDoubt(verdict: Verdict, { doubt }: SeenLevel): Verdict {
  return doubt?.kind === 'coarse-trace' && verdict.state === 'inside'
    ? { ...verdict, state: 'not-covered', why: coarseWords(doubt) }
    : verdict
}

function coarseWords(doubt: NonNullable<SeenLevel['doubt']>): string {
  const rbw =
    doubt.resolutionBandwidthHz === null
      ? 'its resolution bandwidth is not known'
      : `wider than its resolution bandwidth of ${printFrequencyShort(doubt.resolutionBandwidthHz)}`
  return `The trace’s points are ${printFrequencyShort(doubt.stepHz)} apart, ${rbw}: a peak can fall between two of them, so this cannot show that it is clean.`
}
