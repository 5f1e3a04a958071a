import type { Context } from '../../../context'
import { printHz, printWatts, wattsFromDbm } from '../../../quantity'
import { scalarWords } from '../../../rules'
import type { RadioSet } from '../../../review'
import { slotOf, type StepResult } from '../../../step'
import { evaluateCarrierPower } from '../../transmit/carrier-power/evaluate'
import { evaluateDeviation } from '../../transmit/deviation/evaluate'
import { type Adjustable } from './adjustable'
import { changesOf } from './evaluate'
import { insideMemo } from './memo'

/** What is read now, large, with what the law allows and what is aimed at. */
export interface InsideTarget {
  id: string
  title: string
  /** As it is now, and as it was. */
  now: string
  before: string
  /** Each rulebook’s limit, `47 CFR 95.967: 4.00 W`. */
  legal: string[]
  aim: string
  /** When it was read. */
  at: string
}

/** Targets of everything that was read since the adjusting was begun, the latest first. */
export function insideTargets(set: RadioSet, context: Context): InsideTarget[] {
  const memo = insideMemo(set, context)
  if (!memo) return []
  const aims = {
    power: memo.aimW === null ? '' : printWatts(memo.aimW),
    deviation: memo.aimHz === null ? '' : printHz(memo.aimHz, 3),
  }
  return changesOf(set, context)
    .map(({ adjustable, before, now }) => ({
      id: adjustable.id,
      title: `${adjustable.what === 'power' ? 'Power' : 'Deviation'}, ${adjustable.band.name}`,
      now: now.words,
      before: before?.words ?? '',
      legal: legalOf(adjustable, context),
      aim: aims[adjustable.what],
      at: now.reading.at,
    }))
    .sort((a, b) => b.at.localeCompare(a.at))
}

/** What each rulebook allows, as the quantity’s own station judges by it. */
function legalOf({ step, slotId, what }: Adjustable, context: Context): string[] {
  const result: StepResult =
    what === 'power' ? evaluateCarrierPower(step, context) : evaluateDeviation(step, context)
  return (slotOf(result, slotId)?.each ?? []).flatMap(({ limit }) => {
    if (limit.kind === 'scalar') return [`${limit.clause}: ${scalarWords(limit.limit)}`]
    return limit.kind === 'limit' ? [`${limit.clause}: ${printWatts(wattsFromDbm(limit.limitDbm))}`] : []
  })
}
