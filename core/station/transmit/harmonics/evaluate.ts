import { type Context, perStep } from '../../../context'
import { type Verdict, verdictWithout, worstVerdict } from '../../../decision'
import { notCorrected, NOTHING, openSlot } from '../../../judging'
import { printWatts, wattsFromDbm } from '../../../quantity'
import type { LevelReading, StepReadings } from '../../../review'
import { emissionEdges, strictestOf } from '../../../rules'
import {
  correctReading,
  type FoundLevel,
  isCorrected,
  isLevel,
  isRead,
  type Slot,
  type SlotResult,
  type Step,
  type StepResult,
} from '../../../step'
import { type CarrierForLimit, carrierForLimit, firstLineCarrier } from '../carrierForLimit'
import { anyAmbient, besideAmbient } from './ambient'
import { isFirstLine, momentWords, moreSlots, otherIds, slotAt } from './harmonicSlots'
import { JudgedHarmonic } from './judgedHarmonic'
import { bookLimits, emissionOf, type JudgedBy } from './judgeHarmonic'
import { bandwidthOffers, offersFor } from './offers'
import { askAboutHarmonic } from './questions'

/** Judges every harmonic of one step; the step's verdict is the worst of ×2 to ×10. */
export const evaluateHarmonics = perStep((step: Step, context: Context): StepResult => {
  const carrier = carrierForLimit(step, context)
  const readings = context.readingsOf(step)
  const others = otherIds(step, readings)
  const judging: StepJudging = {
    step,
    by: carrier && judgedBy(step, carrier, context),
    readings,
    hasAmbient: anyAmbient(others),
  }
  const planned = step.slots.map(slot => slotResult(slot, judging, context))
  const more = moreSlots(step, others).map(slot => slotResult(slot, judging, context))
  return summedUp(step, { planned, more }, context)
})

function summedUp(
  step: Step,
  results: { planned: SlotResult[]; more: SlotResult[] },
  context: Context,
): StepResult {
  const slots = results.more.length === 0 ? results.planned : [...results.planned, ...results.more]
  const first = slots[0]!
  const worst = worstVerdict(slots.slice(1).map(member => ({ member, verdict: member.verdict })))!
  const anything = slots.some(isRead)
  return {
    step,
    slots,
    verdict: worst.verdict,
    governs: worst.governs,
    words: anything ? `${worst.governs.words}${momentWords(worst.governs.slot)}` : 'Not measured',
    offers: [...offersFor(step, worst.governs, context), ...bandwidthOffers(slots)],
    questions: slots.flatMap(result => askAboutHarmonic(step, result, first, context)),
    progress: {
      read: results.planned.filter(isRead).length,
      possible: results.planned.filter(({ state }) => state !== 'out-of-reach').length,
    },
  }
}

/** What the slots of one step are judged with. */
interface StepJudging {
  step: Step
  /** null as long as nobody says anything of the carrier. */
  by: JudgedBy | null
  readings: StepReadings
  /** Whether anything was read with the radio unkeyed. */
  hasAmbient: boolean
}

/** What the harmonics of a step are judged by: its rulebooks, ready for those of its carrier. */
function judgedBy(step: Step, carrier: CarrierForLimit, context: Context): JudgedBy {
  const firstLine = carrier.from === 'carrier-power' ? firstLineCarrier(step, context) : null
  const by = { step, carrier, firstLine }
  const books = context.rulebooksOf(step.band).map(rulebook => {
    const edges = context.forGood(emissionEdges, rulebook)
    return bookLimits(rulebook, by, edges)
  })
  return { ...by, books, rule: context.review.settings.decisionRule }
}

function slotResult(slot: Slot, judging: StepJudging, context: Context): SlotResult {
  const reading = judging.readings.get(slot.id)
  if (!reading || !isLevel(reading)) return openHarmonic(slot, judging, context)
  const found = correctReading(reading, context, {
    emission: isFirstLine(slot) ? 'carrier' : 'unwanted',
  })
  if (!isCorrected(found)) return notCorrected(slot, reading, found.why)
  if (isFirstLine(slot))
    return shown(
      { slot, reading, found },
      {
        verdict: verdictWithout('observation', null),
        words: `carrier, ${printWatts(wattsFromDbm(found.value))}`,
      },
    )
  if (!judging.by)
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
  const beside = judging.hasAmbient
    ? besideAmbient({ reading, found, ambient: judging.readings.get(slotAt(slot, 'ambient').id) }, context)
    : { found, notes: NOTHING.notes }
  const read = { slot, reading, found: beside.found, ambient: beside.notes, emission: emissionOf(slot) }
  return new JudgedHarmonic(read, judging.by, context)
}

/** Nothing read yet: the limit is shown all the same. */
function openHarmonic(slot: Slot, { step, by }: StepJudging, context: Context): SlotResult {
  const open = openSlot(step, slot, context)
  if (!by || isFirstLine(slot) || open.state === 'left-out') return open
  return { ...open, limit: strictestOf(by.books.map(({ limits }) => limits(emissionOf(slot)))) }
}

function shown(
  read: { slot: Slot; reading: LevelReading; found: FoundLevel },
  said: { verdict: Verdict; words: string },
): SlotResult {
  return { ...NOTHING, ...read, ...said, state: 'read', notes: read.found.notes }
}
