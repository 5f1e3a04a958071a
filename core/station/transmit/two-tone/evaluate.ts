import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  judgeClaim,
  observedFigure,
  observedLevel,
  openSlot,
  ratioDoubt,
  type StationAnswer,
} from '../../../judging'
import { printDb, printWatts, wattsFromDbm } from '../../../quantity'
import type { RadioSet } from '../../../review'
import { PEP_ABOVE_MEAN_DB, TONE_BELOW_PEP_DB } from '../../../signal'
import {
  isRead,
  type Question,
  type Slot,
  type SlotResult,
  socketDbm,
  type Step,
  type StepResult,
} from '../../../step'
import type { StationQuestion } from '../../contract'
import { planTwoTone } from './plan'

/** PEP may differ from the mean by this much more or less than two equal clean tones make, dB. */
const PEP_DOUBT_DB = 0.7

/** What is said of the conventions wherever a product is shown. */
export const TWO_SCHOOLS =
  'Two schools: against either tone, or against the peak envelope power, ' +
  'which is 6.02 dB more flattering. Stored against either tone; both are said.'

/** Works out one step: PEP against the claim, products in both conventions. */
export const evaluateTwoTone = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, { slot: slot => slotResult(step, slot, context), ask: askAbout })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  switch (slot.kind.is) {
    case 'pep':
      return peakPower(step, slot, context)
    case 'mean':
      return observedLevel(
        step,
        slot,
        ({ value }) => `${printWatts(wattsFromDbm(value + PEP_ABOVE_MEAN_DB))} PEP if both tones are clean`,
        context,
      )
    default:
      return ratio(step, slot, context)
  }
}

/** A product below either tone, or the two tones against each other. */
function ratio(step: Step, slot: Slot, context: Context): SlotResult {
  const reading = figureIn(step, slot, context)
  if (!reading) return openSlot(step, slot, context)
  const { value, isUpperBound } = reading.seen
  const own = ratioDoubt(reading, context)
  const said =
    slot.kind.is === 'imbalance'
      ? {
          words: printDb(value, 2),
          notes: ['Tones more than half a dB apart flatter or spoil the products.'],
        }
      : { words: imdWords(value, isUpperBound), notes: [TWO_SCHOOLS] }
  const shown = observedFigure(slot, reading, { ...said, own }, context)
  // A product in the noise is at most so strong: it stands at least so far down, and the words say so.
  return isUpperBound && shown.found ? { ...shown, found: { ...shown.found, isUpperBound: false } } : shown
}

/** A product in both conventions. */
export function imdWords(belowToneDb: number, atLeast = false): string {
  return (
    `${atLeast ? 'at least ' : ''}${printDb(belowToneDb)} below either tone, ` +
    `${printDb(belowToneDb + TONE_BELOW_PEP_DB)} below PEP`
  )
}

/** PEP is what makers of SSB radios claim; it is judged like any claim. */
function peakPower(step: Step, slot: Slot, context: Context): SlotResult {
  const shown = observedLevel(step, slot, ({ value }) => `${printWatts(wattsFromDbm(value))} PEP`, context)
  const claim = shown.found && judgeClaim(step, shown.found, context)
  if (!claim) return shown
  return {
    ...shown,
    claim,
    verdict: claim.verdict,
    words: claim.words,
    notes: [`Against the claimed ${claim.claimedWords} PEP.`, ...shown.notes],
  }
}

function askAbout(slots: readonly SlotResult[]): Question[] {
  return [...askAboutPower(slots), ...slots.flatMap(askAboutProduct)]
}

function askAboutPower(slots: readonly SlotResult[]): Question[] {
  const level = (is: string) => {
    const result = slots.find(({ slot }) => slot.kind.is === is)
    return result ? socketDbm(result) : null
  }
  const [pep, mean] = [level('pep'), level('mean')]
  if (pep === null || mean === null || pep === undefined || mean === undefined) return []
  if (Math.abs(pep - mean - PEP_ABOVE_MEAN_DB) <= PEP_DOUBT_DB) return []
  return [
    {
      slotId: 'mean',
      words:
        `PEP stands ${printDb(pep - mean)} above the mean; two equal clean tones make 3.0 dB. ` +
        'Are the tones unequal, is the stage flat-topping, or does the meter not catch the peaks?',
    },
  ]
}

function askAboutProduct({ slot, found }: SlotResult): Question[] {
  if (slot.kind.is !== 'product' || !found || found.value > 0) return []
  return [
    {
      slotId: slot.id,
      words: `${productName(slot)} is typed as dB below a tone: a positive figure, like 31.`,
    },
  ]
}

/** Short name of a product: IMD3. */
function productName({ kind }: Pick<Slot, 'kind'>): string {
  return `IMD${kind.order}`
}

/** Sums up one set: its worst product. */
export function answerTwoTone(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  const results = planTwoTone(set, context).map(step => evaluateTwoTone(step, context))
  const products = results.flatMap(result =>
    result.slots
      .filter(slot => slot.slot.kind.is === 'product' && isRead(slot))
      .map(slot => ({ step: result.step, slot, belowDb: slot.found!.value })),
  )
  if (products.length === 0) return answerSteps(results, { without: 'No SSB band on this set.' })
  const worst = products.reduce((a, b) => (b.belowDb < a.belowDb ? b : a))
  return {
    verdict: verdictWithout('observation', null),
    words: `${productName(worst.slot.slot)} ${worst.slot.words}`,
    detail: worst.step.band.name,
    gap: null,
    governs: { step: worst.step, slotId: worst.slot.slot.id },
    each: [],
    results,
  }
}
