import { claimWords, decide, farEndWords, type Verdict, verdictWithout } from '../../decision'
import {
  dbmFromWatts,
  printClaimW,
  printDb,
  printDbm,
  printPercent,
  printSigned,
  printWatts,
  wattsFromDbm,
} from '../../quantity'
import type { Reading } from '../../review'
import type { Question, SlotResult, Step, StepResult } from '../contract'
import { correctReading, type CorrectedReading, isCorrected } from '../correctReading'
import { observedFigure, openSlot } from '../figure/plainSlots'
import type { StationContext } from '../stationContext'
import { stepDependencies } from '../stepDependencies'
import { stepReach } from '../stepReach'
import { judgeLawfulPower } from './judgeLawfulPower'

/** A carrier this far below its claim, or this far above, raises a question (common practice, no source). */
const ABSURD_BELOW_DB = 6
const ABSURD_ABOVE_DB = 3

/** Judges the carrier of one step against its claim. */
export function evaluateCarrierPower(step: Step, context: StationContext): StepResult {
  return context.reuse(step, stepDependencies(step, context), () => evaluate(step, context))
}

function evaluate(step: Step, context: StationContext): StepResult {
  const slot = step.slots[0]!
  const reading = context.reading(step.set.id, step.id, slot.id) ?? null
  const answer = reading && correctReading(reading, context)
  const corrected = answer && isCorrected(answer) ? answer : null
  const judged = judge(step, context, reading, corrected, answer && !isCorrected(answer) ? answer.why : null)
  const lawful = corrected ? judgeLawfulPower(step, corrected, context) : []
  const covered = stepReach(step, slot, context).covered
  const result: SlotResult = {
    slot,
    reading,
    corrected,
    figure: null,
    limit: lawful.at(0)?.limit ?? null,
    each: lawful,
    yardstick: null,
    ratio: null,
    ...judged,
    missing: reading ? null : covered ? 'open' : 'out-of-reach',
  }
  const supply = step.slots.slice(1).map((own): SlotResult => {
    const figure = context.figure(step.set.id, step.id, own.id)
    return figure
      ? observedFigure(
          own,
          figure,
          {
            words:
              own.id === 'supply-a'
                ? (efficiencyWords(step, corrected, context) ?? figure.text)
                : figure.text,
          },
          context,
        )
      : openSlot(step, own, context)
  })
  return {
    step,
    slots: [result, ...supply],
    offers: [],
    verdict: result.verdict,
    words: result.words,
    governs: reading ? result : null,
    questions: reading && corrected ? askAbout(step, slot.id, reading, corrected, context) : [],
    progress: { read: reading ? 1 : 0, possible: reading || covered ? 1 : 0 },
  }
}

/**
 * Radio-frequency power over what the supply gives, 0 to 1; null before power, voltage and current are read.
 */
export function efficiency(
  step: Step,
  corrected: CorrectedReading | null,
  context: StationContext,
): number | null {
  const [volts, amperes] = ['supply-v', 'supply-a'].map(id => context.figure(step.set.id, step.id, id)?.value)
  return corrected && volts !== undefined && amperes !== undefined && volts * amperes > 0
    ? wattsFromDbm(corrected.levelDbm) / (volts * amperes)
    : null
}

function efficiencyWords(
  step: Step,
  corrected: CorrectedReading | null,
  context: StationContext,
): string | null {
  const share = efficiency(step, corrected, context)
  return share === null
    ? null
    : `efficiency ${printPercent(share, 0)}${share > 1 ? ': more out than in, so one of the three is wrong' : ''}`
}

function judge(
  step: Step,
  context: StationContext,
  reading: Reading | null,
  corrected: CorrectedReading | null,
  whyNot: string | null,
): { verdict: Verdict; words: string; notes: string[] } {
  if (!reading) {
    const reason = context.skipReason(step)
    if (reason !== null)
      return { verdict: verdictWithout('not-covered', `Left out: ${reason}`), words: 'Left out', notes: [] }
    const reach = stepReach(step, step.slots[0]!, context)
    const why = reach.covered ? 'Not measured yet.' : reach.why
    return {
      verdict: verdictWithout('not-covered', why),
      words: reach.covered ? 'Not measured' : 'Not covered',
      notes: [],
    }
  }
  if (!corrected)
    return {
      verdict: verdictWithout('not-covered', whyNot),
      words: 'Not covered',
      notes: whyNot ? [whyNot] : [],
    }
  const measuredW = wattsFromDbm(corrected.levelDbm)
  if (step.claim.kind !== 'watts')
    return {
      verdict: verdictWithout('no-figure', 'The maker does not say.'),
      words: `${printWatts(measuredW)}; the maker does not say`,
      notes: corrected.notes,
    }
  const claimedDbm = dbmFromWatts(step.claim.powerW)
  const tolerance = context.review.settings.claimToleranceDb
  const verdict = decide({
    valueDb: corrected.levelDbm,
    limitDb: claimedDbm - tolerance,
    direction: 'lower',
    errors: context.distributions.of(corrected.budget.contributions),
    isUpperBound: corrected.isUpperBound,
    rule: context.review.settings.decisionRule,
  })
  const differenceDb = corrected.levelDbm - claimedDbm
  const notes = [
    ...(verdict.state === 'too-close'
      ? [
          `${printWatts(measuredW)} ${differenceDb < 0 ? 'may really be' : 'may really fall short of'} ${printClaimW(step.claim.powerW)}: the range reaches across the claim.`,
        ]
      : []),
    `${printSigned(differenceDb, 2)} dB against the claimed ${printClaimW(step.claim.powerW)}: ${farEndWords(differenceDb)}.`,
    ...(tolerance > 0
      ? [
          `Judged with the review’s tolerance of ${printDb(tolerance)}: from ${printWatts(wattsFromDbm(claimedDbm - tolerance))} on it counts as met.`,
        ]
      : []),
    ...corrected.notes,
  ]
  return {
    verdict,
    words: claimWords(verdict, { claimedW: step.claim.powerW, measuredW, differenceDb }),
    notes,
  }
}

function askAbout(
  step: Step,
  slotId: string,
  reading: Reading,
  corrected: CorrectedReading,
  context: StationContext,
): Question[] {
  const chain = context.chain(reading.chainId)
  const instrument = chain && context.instrument(chain.instrumentId)
  if (instrument?.kind === 'power-meter' && wattsFromDbm(corrected.atInstrumentDbm) > instrument.maxInputW)
    return [
      {
        slotId,
        words: `${reading.text} would be more than ${instrument.name} bears (${printClaimW(instrument.maxInputW)}). A slip of the point?`,
      },
    ]
  if (step.claim.kind !== 'watts') return []
  const apartDb = corrected.levelDbm - dbmFromWatts(step.claim.powerW)
  if (apartDb > -ABSURD_BELOW_DB && apartDb < ABSURD_ABOVE_DB) return []
  const nearLoss = Math.abs(Math.abs(apartDb) - corrected.lossDb) < 3 && corrected.lossDb > 3
  const hint = nearLoss
    ? apartDb > 0
      ? `That is about the loss of the chain (${printDb(corrected.lossDb)}): is the offset already set on the instrument? Then say so at the bench check.`
      : `That is about the loss of the chain (${printDb(corrected.lossDb)}): is the offset given at the bench check really set on the instrument?`
    : 'Another power level, a pad missing from the chain, or a slip of the point?'
  return [
    {
      slotId,
      words: `${printDbm(corrected.levelDbm)} at the socket is ${printDb(Math.abs(apartDb))} ${apartDb > 0 ? 'above' : 'below'} the claim. ${hint}`,
    },
  ]
}
