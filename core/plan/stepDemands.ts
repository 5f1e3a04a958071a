import { printClaimW, printWatts, wattsFromDbm } from '../quantity'
import {
  evaluateLimit,
  evaluateScalar,
  type PowerQuantity,
  type Quantity,
  quantityWords,
  type Rulebook,
} from '../rules'
import {
  type AnyLimit,
  carrierFacts,
  limitShort,
  NEIGHBOURS,
  powerToExpect,
  spacingOf,
  stationById,
  type StationContext,
  type Step,
} from '../station'

/** What one step answers to: a claim or a clause, or the lack of one. */
export interface StepDemand {
  /** The maker, or the rulebook’s title. */
  by: string
  /** What is asked, with the clause; or why nothing is. */
  words: string
  /** There is a figure to judge by. */
  figure: boolean
}

/**
 * Everything a step is judged by, before anything is read: its claim and each rulebook of its band. Empty for
 * an observation.
 */
export function stepDemands(step: Step, context: StationContext): StepDemand[] {
  return stationById(step.stationId).judgedBy.flatMap((about): StepDemand[] => {
    if (about === 'claim') return [claimOf(step)]
    const books =
      about === 'unwanted' && context.yardstick
        ? [...context.rulebooksOf(step.band), context.yardstick]
        : context.rulebooksOf(step.band)
    return books.map(rulebook => ruleOf(step, about, rulebook))
  })
}

/** True where nothing a step reads will be judged: it is read for the record and for comparison. */
export function isForTheRecord(step: Step, context: StationContext): boolean {
  return !stepDemands(step, context).some(({ figure }) => figure)
}

function claimOf({ claim }: Step): StepDemand {
  return claim.kind === 'watts'
    ? { by: 'the maker', words: `${printClaimW(claim.powerW)} claimed`, figure: true }
    : { by: 'the maker', words: 'does not say', figure: false }
}

function ruleOf(step: Step, about: Quantity, rulebook: Rulebook): StepDemand {
  const limit = limitOf(step, about, rulebook)
  const what = quantityWords[about]
  if (limit.kind === 'limit' || limit.kind === 'scalar')
    return {
      by: rulebook.title,
      words: `${what} ${about === 'carrier-power' && limit.kind === 'limit' ? `up to ${printWatts(wattsFromDbm(limit.limitDbm))}` : limitShort(limit)} (${limit.clause})`,
      figure: true,
    }
  return {
    by: rulebook.title,
    words: limit.kind === 'no-figure' ? `no figure for ${what}` : `${what}: ${limit.reason}`,
    figure: limit.kind === 'cannot-judge',
  }
}

function limitOf(step: Step, about: Quantity, rulebook: Rulebook): AnyLimit {
  const facts = carrierFacts(step, powerToExpect(step.set, step.claim).powerW)
  if (!isPower(about)) return evaluateScalar(rulebook, about, facts)
  const emission =
    about === 'adjacent-power'
      ? { frequencyHz: step.channel.frequencyHz + NEIGHBOURS[1].side * spacingOf(step.band), harmonic: null }
      : undefined
  return evaluateLimit(rulebook, facts, emission, about)
}

function isPower(about: Quantity): about is PowerQuantity {
  return about === 'unwanted' || about === 'adjacent-power' || about === 'carrier-power'
}
