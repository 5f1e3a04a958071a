import { type Context, perStep } from '../../../context'
import { decide, marginWords, type Verdict, verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  foundFigure,
  NOTHING,
  observedFigure,
  openSlot,
  type StationAnswer,
  workedOutFigure,
} from '../../../judging'
import {
  mismatchLossDbFromVswr,
  printDb,
  printMhz,
  printNumber,
  printVswr,
  printWatts,
  returnLossDbFromVswr,
} from '../../../quantity'
import type { RadioSet } from '../../../review'
import type { ClaimJudgement, Found, Question, Slot, SlotResult, Step, StepResult } from '../../../step'
import { powerToExpect } from '../../../step'
import type { StationQuestion } from '../../contract'
import { openDerived } from '../../derivedResult'
import { bridgeLine, type ChannelMatch, leakOf, lossSlope, matchesOf, vswrSlope } from './match'
import { type Antenna, antennasOf } from './memo'
import { planAntenna } from './plan'

/** A match that is taken for good where the label promises none (common practice, no source). */
export const USUAL_VSWR = 2

/** Works out one antenna on one band. */
export const evaluateAntenna = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    ask: () => questionsOf(step, context),
    summary: slots => summaryOf(slots, matchesOf(step, context)),
  })
})

function summaryOf(slots: readonly SlotResult[], matches: readonly ChannelMatch[]) {
  const worst = worstOf(matches)
  if (!worst) return null
  const judged = slots.find(({ slot, claim }) => claim && slot.kind.channelId === worst.channel.id)
  return {
    verdict: judged?.verdict ?? verdictWithout('observation', null),
    words: `${printVswr(worst.vswr)} at worst, ${printMhz(worst.channel.frequencyHz)}`,
  }
}

function worstOf(matches: readonly ChannelMatch[]): ChannelMatch | null {
  return matches.reduce<ChannelMatch | null>((a, b) => (a && a.vswr >= b.vswr ? a : b), null)
}

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  switch (slot.kind.is) {
    case 'match':
      return matchResult(step, slot, context)
    case 'loss':
      return lossResult(step, slot, context)
    case 'left':
      return leftResult(step, slot, context)
    default: {
      const figure = figureIn(step, slot, context)
      return figure
        ? observedFigure(slot, figure, { words: 'as read' }, context)
        : openSlot(step, slot, context)
    }
  }
}

/** The antenna a step is about. */
export function antennaAt({ set, variant }: Step, context: Context): Antenna | null {
  return antennasOf(set, context).find(({ id }) => id === variant?.id) ?? null
}

function matchResult(step: Step, slot: Slot, context: Context): SlotResult {
  const match = matchesOf(step, context).find(({ channel }) => channel.id === slot.kind.channelId)
  if (!match) return openSlot(step, slot, context)
  const { reading, vswr, reflection } = match
  const found = foundFigure(reading, { own: [bridgeLine(vswrSlope(reflection), context)] }, context)
  const antenna = antennaAt(step, context)
  const claim = antenna && againstLabel(found, slot, antenna, context)
  const lossWords =
    `return loss ${lossFigure(returnLossDbFromVswr(vswr))}, ` +
    `${printDb(mismatchLossDbFromVswr(vswr), 2)} lost`
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading,
    found,
    claim,
    verdict: claim?.verdict ?? verdictWithout('observation', null),
    words: claim?.words ?? lossWords,
    notes: [
      `${lossWords.replace(/^r/, 'R')}.`,
      `A bridge that sees ${printDb(-20 * Math.log10(leakOf(context).halfWidth), 0)} down leaves a ` +
        'small reflection open.',
      antenna?.held ? `Held: ${antenna.held}.` : 'Nobody said how it was held: a hand or a table changes it.',
      ...(reading.seen.method ? [reading.seen.method] : []),
    ],
  }
}

function lossFigure(returnLossDb: number): string {
  return Number.isFinite(returnLossDb) ? printDb(returnLossDb) : 'without end'
}

/** Within the range of its label: no worse than the label promises, else than what is usual. */
function againstLabel(found: Found, slot: Slot, antenna: Antenna, context: Context): ClaimJudgement | null {
  const { labelHz, labelVswr } = antenna
  if (!labelHz || slot.frequencyHz < labelHz[0] || slot.frequencyHz > labelHz[1]) return null
  const limit = labelVswr ?? USUAL_VSWR
  const verdict = decide({
    value: found.value,
    limit,
    direction: 'upper',
    errors: context.distributions.of(found.budget.contributions),
    rule: context.review.settings.decisionRule,
    unit: 'VSWR',
  })
  const claimedWords =
    labelVswr === null ? `in its range, ${printVswr(limit)} taken` : `at most ${printVswr(limit)}`
  return { claimedWords, limit, verdict, words: labelWords(verdict, limit, labelVswr !== null) }
}

function labelWords(verdict: Verdict, limit: number, isPromised: boolean): string {
  const whose = isPromised
    ? `the ${printVswr(limit)} of its label`
    : `${printVswr(limit)} in its labelled range`
  switch (verdict.state) {
    case 'inside':
      return `Within ${whose}`
    case 'outside':
      return `Above ${whose} by ${marginWords(verdict)}`
    default:
      return `Can’t tell from ${whose}`
  }
}

function lossResult(step: Step, slot: Slot, context: Context): SlotResult {
  const worst = worstOf(matchesOf(step, context))
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  if (!worst) return openDerived(slot, 'Not known', 'A match at one channel at least.')
  const own = [bridgeLine(lossSlope(worst.reflection), context)]
  const value = mismatchLossDbFromVswr(worst.vswr)
  return observed(slot, worst, workedOutFigure({ value, unit: 'dB', own }, context), 'sent back to the radio')
}

function leftResult(step: Step, slot: Slot, context: Context): SlotResult {
  const worst = worstOf(matchesOf(step, context))
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const power = powerToExpect(step.set, step.claim)
  if (!worst) return openDerived(slot, 'Not known', 'A match at one channel at least.')
  const share = 1 - worst.reflection ** 2
  const own = [bridgeLine(2 * worst.reflection * power.powerW, context)]
  const found = workedOutFigure({ value: share * power.powerW, unit: 'W', own }, context)
  return observed(
    slot,
    worst,
    found,
    `of ${printWatts(power.powerW)} ${power.powerFrom === 'claim' ? 'claimed' : 'assumed'}`,
  )
}

function observed(slot: Slot, { reading }: ChannelMatch, found: Found, words: string): SlotResult {
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading,
    found,
    verdict: verdictWithout('observation', null),
    words,
    notes: [],
  }
}

/** So good over so wide a range an antenna that radiates seldom is (common practice, no source). */
const SUSPICIOUS = { vswr: 1.3, share: 0.15 } as const

function questionsOf(step: Step, context: Context): Question[] {
  const matches = matchesOf(step, context)
  const [lowest, highest] = [matches[0], matches.at(-1)]
  if (!lowest || !highest) return []
  const share = 1 - lowest.channel.frequencyHz / highest.channel.frequencyHz
  return matches.length > 1 &&
    share >= SUSPICIOUS.share &&
    matches.every(({ vswr }) => vswr <= SUSPICIOUS.vswr)
    ? [
        {
          slotId: 'loss',
          words:
            `Matched better than ${printNumber(SUSPICIOUS.vswr, 1)}:1 over ` +
            `${Math.round(100 * share)} % of its frequency: lossy antennas look so. ` +
            'Does it hear as well as the others?',
        },
      ]
    : []
}

/** Sums up the antennas of one set: against their labels, or the worst match. */
export function answerAntenna(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  return answerSteps(
    planAntenna(set, context).map(step => evaluateAntenna(step, context)),
    { without: 'Nothing is planned for this set.', lead: 'loss' },
  )
}
