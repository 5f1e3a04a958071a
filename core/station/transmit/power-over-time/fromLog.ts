import type { PowerLog } from '../../../format'
import { type LevelUnit, parseLevel } from '../../../quantity'
import type { ReadingSource } from '../../../review'
import { type KeptLevel, seenLevel, type Slot, type Step } from '../../../step'
import { momentOf } from './droop'

/** How far a line of a log may lie from a moment: at least 5 s, later a tenth of the moment. */
const LEAST_APART_S = 5
const SHARE_APART = 0.1

/** How the levels of a log are read and where they come from. */
export interface LogTaking {
  bareUnit: LevelUnit
  source: ReadingSource
}

interface Moment {
  slot: Slot
  atS: number
}

/**
 * Each planned moment takes the nearest of the lines that are nearest to it, so that no line stands for two; moments
 * without a line near stay open.
 */
export function levelsFromLog(step: Step, { rows }: Pick<PowerLog, 'rows'>, taking: LogTaking): KeptLevel[] {
  const moments = step.slots.flatMap((slot): Moment[] => {
    const atS = momentOf(slot)
    return atS === null ? [] : [{ slot, atS }]
  })
  return moments.flatMap(moment => {
    const { slot, atS } = moment
    const near = nearest(
      rows.filter(row => isNear(row, moment) && nearest(moments, row.atS) === moment),
      atS,
    )
    const read = near && parseLevel(near.text, { bareUnit: taking.bareUnit })
    if (!read?.ok) return []
    const seen = seenLevel(read, { frequencyHz: slot.frequencyHz })
    return [{ slotId: slot.id, text: near!.text, seen, source: taking.source }]
  })
}

const isNear = (row: { atS: number }, { atS }: Moment): boolean =>
  Math.abs(row.atS - atS) <= Math.max(LEAST_APART_S, SHARE_APART * atS)

/** The one nearest to a time, s, of two alike the first; null for none. */
function nearest<T extends { atS: number }>(all: readonly T[], toS: number): T | null {
  let best: T | null = null
  for (const one of all) if (!best || Math.abs(one.atS - toS) < Math.abs(best.atS - toS)) best = one
  return best
}
