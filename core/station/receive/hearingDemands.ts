import type { Context } from '../../context'
import { claimsFor, receiverClaimWords } from '../../hearing'
import { type Demand, ruleDemands } from '../../judging'
import type { ReceiverClaimKind } from '../../review'
import { type Quantity, RECEIVER_METHODS, type ReceiverMethod } from '../../rules'
import type { Step } from '../../step'

/** What a step of a receiver answers to: the maker’s claims, and each rulebook by its own method. */
export function hearingDemands(
  step: Step,
  asked: { about: Quantity; claims: readonly ReceiverClaimKind[]; methods?: readonly ReceiverMethod[] },
  context: Context,
): Demand[] {
  const claims = asked.claims.flatMap(kind => claimsFor(step.band, kind, step.band.channelSpacingHz) ?? [])
  const ofMaker: Demand[] = claims.map(claim => ({
    by: 'the maker',
    words: receiverClaimWords(claim),
    figure: true,
  }))
  const silent = asked.claims.length > 0 && ofMaker.length === 0
  return [
    ...ofMaker,
    ...(silent ? [{ by: 'the maker', words: 'does not say', figure: false }] : []),
    ...ruleDemands(step, asked.about, context, asked.methods ?? RECEIVER_METHODS),
  ]
}
