import type { Context } from '../../../context'
import { figureIn, levelIn } from '../../../judging'
import type { LevelReading } from '../../../review'
import { correctReading, type FoundLevel, isCorrected, type Step } from '../../../step'
import { GENERATOR } from '../paths'
import type { SquelchSetting } from './plan'

/** Step taken where nobody typed it, dB (receivers.md, section 4: 0.5 near the edge). */
export const USUAL_STEP_DB = 0.5

/** Levels at which a squelch opened and closed, round by round, at the socket. */
export interface Round {
  round: number
  open: Edge | null
  close: Edge | null
}

/** One edge as it was read. */
export interface Edge {
  levelDbm: number
  found: FoundLevel
  reading: LevelReading
}

/** Step of the generator near the edge, dB, and whether it was typed. */
export function stepOf(step: Step, context: Context): { stepDb: number; isTyped: boolean } {
  const typed = figureIn(step, { id: 'step' }, context)
  return typed ? { stepDb: typed.seen.value, isTyped: true } : { stepDb: USUAL_STEP_DB, isTyped: false }
}

/** The rounds of a setting, those first that were read first. */
export function roundsOf(step: Step, setting: SquelchSetting, context: Context): Round[] {
  const rounds = new Map<number, Round>()
  for (const slot of step.slots) {
    const { is, round, setting: ofSetting } = slot.kind
    if (ofSetting !== setting || typeof round !== 'number') continue
    const reading = levelIn(step, slot, context)
    const found = reading && correctReading(reading, context, { role: GENERATOR, signal: 'to-radio' })
    if (!reading || !found || !isCorrected(found)) continue
    const known = rounds.get(round) ?? { round, open: null, close: null }
    const edge = { levelDbm: found.value, found, reading }
    rounds.set(round, is === 'open' ? { ...known, open: edge } : { ...known, close: edge })
  }
  return [...rounds.values()]
}

/** Rounds with both edges. */
export function whole(rounds: readonly Round[]): { open: Edge; close: Edge }[] {
  return rounds.flatMap(({ open, close }) => (open && close ? [{ open, close }] : []))
}
