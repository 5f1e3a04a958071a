import { ADJACENT_CHANNELS, adjacentHz, spacingOf } from '../band'
import type { Context } from '../context'
import { printClaimW, printWatts, wattsFromDbm } from '../quantity'
import {
  evaluateLimit,
  evaluateScalar,
  type PowerQuantity,
  type Quantity,
  type ReceiverMethod,
  quantityWords,
  type Rulebook,
} from '../rules'
import { type AnyLimit, carrierFacts, powerToExpect, type Step } from '../step'
import { limitShort } from './limitWords'

/** What one step answers to: a claim or a clause, or the lack of one. */
export interface Demand {
  /** The maker, or the rulebook’s title. */
  by: string
  /** What is asked, with the clause; or why nothing is. */
  words: string
  /** There is a figure to judge by. */
  figure: boolean
}

/** What the maker claims of a step. */
export function claimDemand({ claim }: Step): Demand {
  return claim.kind === 'watts'
    ? { by: 'the maker', words: `${printClaimW(claim.powerW)} claimed`, figure: true }
    : { by: 'the maker', words: 'does not say', figure: false }
}

/** What each rulebook of a step’s band asks of a quantity, before anything is read. */
export function ruleDemands(
  step: Step,
  about: Quantity,
  context: Context,
  methods: readonly ReceiverMethod[] = [],
): Demand[] {
  const books = context.rulebooksOf(step.band)
  const own = about === 'unwanted' ? context.yardstick : null
  return [...books, ...(own ? [own] : [])].map(rulebook => ruleDemand(step, { about, methods }, rulebook))
}

function ruleDemand(step: Step, { about, methods }: Asked, rulebook: Rulebook): Demand {
  const limit = limitOf(step, { about, methods }, rulebook)
  const what = quantityWords[about]
  switch (limit.kind) {
    case 'limit':
    case 'scalar':
      return {
        by: rulebook.title,
        words: `${what} ${figureOf(limit, about)} (${limit.clause})`,
        figure: true,
      }
    case 'no-figure':
      return { by: rulebook.title, words: `no figure for ${what}`, figure: false }
    case 'cannot-judge':
      return { by: rulebook.title, words: `${what}: ${limit.reason}`, figure: true }
  }
}

function figureOf(limit: AnyLimit, about: Quantity): string {
  return about === 'carrier-power' && limit.kind === 'limit'
    ? `up to ${printWatts(wattsFromDbm(limit.limitDbm))}`
    : limitShort(limit)
}

interface Asked {
  about: Quantity
  methods: readonly ReceiverMethod[]
}

function limitOf(step: Step, { about, methods }: Asked, rulebook: Rulebook): AnyLimit {
  const facts = carrierFacts(step, powerToExpect(step.set, step.claim).powerW)
  if (!isPower(about)) {
    const byMethod = methods.map(method => evaluateScalar(rulebook, about, { ...facts, method }))
    return byMethod.find(({ kind }) => kind === 'scalar') ?? evaluateScalar(rulebook, about, facts)
  }
  const place = { carrierHz: step.channel.frequencyHz, spacingHz: spacingOf(step.band) }
  const emission =
    about === 'adjacent-power'
      ? { frequencyHz: adjacentHz(ADJACENT_CHANNELS[1], place), harmonic: null }
      : undefined
  return evaluateLimit(rulebook, facts, emission, about)
}

function isPower(about: Quantity): about is PowerQuantity {
  return about === 'unwanted' || about === 'adjacent-power' || about === 'carrier-power'
}
