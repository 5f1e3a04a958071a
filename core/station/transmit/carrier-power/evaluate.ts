import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  claimNotes,
  figureIn,
  judgeClaim,
  judgePower,
  levelIn,
  notCorrected,
  NOTHING,
  observedFigure,
  openSlot,
  scalarJudgements,
} from '../../../judging'
import { dbmFromWatts, printPercent, printWatts, wattsFromDbm } from '../../../quantity'
import type { LevelReading } from '../../../review'
import {
  type FoundLevel,
  isCorrected,
  isRead,
  type Judgement,
  type Slot,
  type SlotResult,
  socketDbm,
  type Step,
  type StepResult,
} from '../../../step'
import { correctCarrier } from '../correctCarrier'
import { askAboutCarrier } from './questions'

/** Judges the carrier of one step against its claim, and against what the rulebooks allow. */
export const evaluateCarrierPower = perStep((step: Step, context: Context): StepResult => {
  const [carrierSlot, ...supplySlots] = step.slots
  const carrier = carrierResult(step, carrierSlot!, context)
  const supply = supplySlots.map(slot => supplyResult(step, slot, carrier, context))
  return {
    step,
    slots: [carrier, ...supply],
    offers: [],
    verdict: carrier.verdict,
    words: carrier.words,
    governs: isRead(carrier) ? carrier : null,
    questions: askAboutCarrier(step, carrier, context),
    progress: { read: isRead(carrier) ? 1 : 0, possible: carrier.state === 'out-of-reach' ? 0 : 1 },
  }
})

function carrierResult(step: Step, slot: Slot, context: Context): SlotResult {
  const reading = levelIn(step, slot, context)
  if (!reading) return openSlot(step, slot, context)
  const found = correctCarrier(reading, step, context)
  if (!isCorrected(found)) return notCorrected(slot, reading, found.why)
  return judged(step, { slot, reading, found }, context)
}

function judged(
  step: Step,
  { slot, reading, found }: { slot: Slot; reading: LevelReading; found: FoundLevel },
  context: Context,
): SlotResult {
  const claim = judgeClaim(step, found, context)
  const allowed = judgePower(
    step,
    found,
    {
      about: 'carrier-power',
      carrierW: wattsFromDbm(found.value),
      cannotWords: 'Cannot be judged from the socket alone',
    },
    context,
  )
  const each = withTolerances(allowed, toleranceJudgements(step, found, context)).sort(
    (a, b) => strictness(a) - strictness(b),
  )
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading,
    found,
    claim,
    each,
    limit: each.at(0)?.limit ?? null,
    verdict: claim?.verdict ?? verdictWithout('no-figure', 'The maker does not say.'),
    words: claim?.words ?? `${printWatts(wattsFromDbm(found.value))}; the maker does not say`,
    notes: [...(claim ? claimNotes(step, found, claim) : []), ...found.notes],
  }
}

/** What rulebooks ask of a power against its rating: the claim is what it is rated at. */
function toleranceJudgements(step: Step, found: FoundLevel, context: Context): Judgement[] {
  if (step.claim.kind !== 'watts') return []
  const subject = { about: 'power-tolerance', passSilent: true } as const
  const offBy = { ...found, value: found.value - dbmFromWatts(step.claim.powerW), unit: 'dB' as const }
  return scalarJudgements(step, offBy, subject, context).filter(({ limit }) => limit.kind === 'scalar')
}

/** A rulebook that has no figure for the power itself may have one for how near it must come to its rating. */
function withTolerances(allowed: readonly Judgement[], tolerances: readonly Judgement[]): Judgement[] {
  const speaks = new Set(tolerances.map(({ limit }) => limit.rulebook.id))
  return [
    ...allowed.filter(({ limit }) => limit.kind !== 'no-figure' || !speaks.has(limit.rulebook.id)),
    ...tolerances,
  ]
}

/** The strictest limit first, then what cannot be judged, then silence. */
function strictness({ limit }: Judgement): number {
  if (limit.kind === 'limit') return limit.limitDbm
  if (limit.kind === 'scalar') return 999
  return limit.kind === 'cannot-judge' ? 1e3 : 1e4
}

function supplyResult(step: Step, slot: Slot, carrier: SlotResult, context: Context): SlotResult {
  const figure = figureIn(step, slot, context)
  if (!figure) return openSlot(step, slot, context)
  const words = slot.kind.what === 'current' ? efficiencyWords(step, carrier, context) : null
  return observedFigure(slot, figure, { words: words ?? figure.text }, context)
}

/**
 * Radio-frequency power over what the supply gives, 0 to 1; null before power, voltage and current are read.
 */
export function efficiency(step: Step, carrier: SlotResult, context: Context): number | null {
  const levelDbm = socketDbm(carrier)
  const supply = (what: string) => {
    const slot = step.slots.find(({ kind }) => kind.is === 'supply' && kind.what === what)
    return slot && figureIn(step, slot, context)?.seen.value
  }
  const inputW = (supply('voltage') ?? 0) * (supply('current') ?? 0)
  return levelDbm !== null && inputW > 0 ? wattsFromDbm(levelDbm) / inputW : null
}

function efficiencyWords(step: Step, carrier: SlotResult, context: Context): string | null {
  const share = efficiency(step, carrier, context)
  if (share === null) return null
  const doubt = share > 1 ? ': more out than in, so one of the three is wrong' : ''
  return `efficiency ${printPercent(share, 0)}${doubt}`
}
