import { type Verdict, verdictWithout, verdictWords, worstVerdict } from '../../decision'
import { dbmFromWatts, MINUS, printDb, printDbm, printFrequencyShort, printWatts, wattsFromDbm } from '../../quantity'
import type { Reading } from '../../review'
import { evaluateLimit } from '../../rules'
import type { Question, Slot, SlotResult, Step, StepResult } from '../contract'
import { correctReading, type CorrectedReading, isCorrected } from '../correctReading'
import type { StationContext } from '../stationContext'
import { stepReach } from '../stepReach'
import { type CarrierForLimit, carrierForLimit } from './carrierForLimit'
import { judgeHarmonic } from './judgeHarmonic'

const ABSURD_BELOW_DB = 6
const ABSURD_ABOVE_DB = 3

/** Judges every harmonic of one step; the step's verdict is the worst of ×2 to ×10. */
export function evaluateHarmonics(step: Step, context: StationContext): StepResult {
  return context.once(`result:${step.set.id}:${step.id}`, () => evaluate(step, context))
}

function evaluate(step: Step, context: StationContext): StepResult {
  const carrier = carrierForLimit(step, context)
  const slots = step.slots.map(slot => slotResult(step, slot, carrier, context))
  const judged = slots.filter(result => result.slot.id !== 'x1')
  const worst = worstVerdict(judged.map(result => ({ member: result, verdict: result.verdict })))!
  const within = slots.filter(result => result.reading || stepReach(step, result.slot, context).covered)
  return {
    step, slots, verdict: worst.verdict, governs: worst.governs,
    words: slots.some(result => result.reading) ? worst.governs.words : 'Not measured',
    questions: slots.flatMap(result => askAbout(step, result, slots[0]!, context)),
    progress: { read: slots.filter(result => result.reading).length, possible: within.length },
  }
}

function slotResult(step: Step, slot: Slot, carrier: CarrierForLimit | null, context: StationContext): SlotResult {
  const reading = context.reading(step.set.id, step.id, slot.id) ?? null
  const limit = carrier && slot.id !== 'x1' ? evaluateLimit(context.rulebook, { frequencyHz: step.channel.frequencyHz, powerW: carrier.powerW }) : null
  const base = { slot, reading, corrected: null, limit, yardstick: null, notes: [] as string[], missing: null }
  if (!reading) {
    const reach = stepReach(step, slot, context)
    const why = reach.covered ? 'Not measured yet.' : reach.why
    return { ...base, verdict: verdictWithout('not-covered', why), words: reach.covered ? 'Not measured' : 'Not covered', missing: reach.covered ? 'open' : 'out-of-reach' }
  }
  const answer = correctReading(reading, context)
  if (!isCorrected(answer)) return { ...base, verdict: verdictWithout('not-covered', answer.why), words: 'Not covered', notes: [answer.why] }
  if (slot.id === 'x1') return { ...base, corrected: answer, verdict: verdictWithout('observation', null), words: `carrier, ${printWatts(wattsFromDbm(answer.levelDbm))}`, notes: answer.notes }
  if (!carrier)
    return { ...base, corrected: answer, verdict: verdictWithout('not-covered', 'The carrier’s power is not known, so no limit can be worked out.'), words: 'Carrier not read yet', notes: answer.notes }
  return judgedSlot(step, base, answer, carrier, context)
}

function judgedSlot(step: Step, base: Omit<SlotResult, 'verdict' | 'words'>, corrected: CorrectedReading, carrier: CarrierForLimit, context: StationContext): SlotResult {
  const notes = [...corrected.notes, ...(carrier.from === 'claim' ? ['The limit is worked out from the claim until the carrier is read.'] : [])]
  const reading = base.reading!
  const law = judgeHarmonic(corrected, { rulebook: context.rulebook, carrierHz: step.channel.frequencyHz, carrier, context })
  const own = context.yardstick && law.limit.kind === 'no-figure'
    ? judgeHarmonic(corrected, { rulebook: context.yardstick, carrierHz: step.channel.frequencyHz, carrier, context })
    : null
  const lawDoubted = withDoubt(law.verdict, reading, notes)
  const ownDoubted = own && { ...own, verdict: withDoubt(own.verdict, reading, notes) }
  return {
    ...base, corrected, limit: law.limit, notes,
    verdict: lawDoubted, words: verdictWords(lawDoubted),
    yardstick: ownDoubted && { ...ownDoubted, words: verdictWords(ownDoubted.verdict) },
  }
}

/** A trace that may have stepped over a peak can show that something is there, not that nothing is. */
function withDoubt(verdict: Verdict, reading: Reading, notes: string[]): Verdict {
  if (reading.doubt?.kind !== 'coarse-trace') return verdict
  const words = coarseWords(reading)
  if (!notes.includes(words)) notes.push(words)
  return verdict.state === 'inside' ? { ...verdict, state: 'not-covered', why: words } : verdict
}

function coarseWords(reading: Reading): string {
  const doubt = reading.doubt!
  const rbw = doubt.resolutionBandwidthHz === null ? 'its resolution bandwidth is not known' : `wider than its resolution bandwidth of ${printFrequencyShort(doubt.resolutionBandwidthHz)}`
  return `The trace’s points are ${printFrequencyShort(doubt.stepHz)} apart, ${rbw}: a peak can fall between two of them, so this cannot show that it is clean.`
}

function askAbout(step: Step, result: SlotResult, first: SlotResult, context: StationContext): Question[] {
  const { reading, corrected, slot } = result
  if (!reading || !corrected) return []
  const chain = context.chain(reading.chainId)
  const instrument = chain && context.instrument(chain.instrumentId)
  if (instrument?.kind === 'spectrum-analyser' && corrected.atInstrumentDbm > instrument.damageDbm)
    return [{ slotId: slot.id, words: `${reading.text} would be above the damage level of ${instrument.name} (${printDbm(instrument.damageDbm, 0)}). ${corrected.atInstrumentDbm > 0 ? `Was it ${MINUS}${Math.abs(reading.value)}?` : 'A slip of the sign?'}` }]
  if (slot.id === 'x1') return askAboutCarrier(step, slot, corrected)
  if (first.corrected && corrected.levelDbm >= first.corrected.levelDbm)
    return [{ slotId: slot.id, words: `${slot.label} reads as strong as the carrier or stronger. Are the two lines swapped, or a sign lost?` }]
  return []
}

function askAboutCarrier(step: Step, slot: Slot, corrected: CorrectedReading): Question[] {
  if (step.claim.kind !== 'watts') return []
  const apartDb = corrected.levelDbm - dbmFromWatts(step.claim.powerW)
  if (apartDb > -ABSURD_BELOW_DB && apartDb < ABSURD_ABOVE_DB) return []
  return [{ slotId: slot.id, words: `The carrier comes to ${printDbm(corrected.levelDbm)} at the radio, ${printDb(Math.abs(apartDb))} ${apartDb > 0 ? 'above' : 'below'} the claim. Is every pad in the chain, and the offset as given at the bench check?` }]
}
