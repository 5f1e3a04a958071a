import type { PowerLog } from '../../../format'
import { type LevelUnit, parseLevel } from '../../../quantity'
import type { ReadingSource } from '../../../review'
import { type KeptLevel, seenLevel, type Step } from '../../../step'
import { momentOf } from './droop'

/** How far a line of a log may lie from a moment: at least 5 s, later a tenth of the moment. */
const LEAST_APART_S = 5
const SHARE_APART = 0.1

/** How the levels of a log are read and where they come from. */
export interface LogTaking {
  bareUnit: LevelUnit
  source: ReadingSource
}

/** Each planned moment takes the nearest line of a log; moments without a line near stay open. */
export function levelsFromLog(step: Step, { rows }: Pick<PowerLog, 'rows'>, taking: LogTaking): KeptLevel[] {
  return step.slots.flatMap(slot => {
    const atS = momentOf(slot)
    if (atS === null || rows.length === 0) return []
    const nearest = rows.reduce((a, b) => (Math.abs(b.atS - atS) < Math.abs(a.atS - atS) ? b : a))
    if (Math.abs(nearest.atS - atS) > Math.max(LEAST_APART_S, SHARE_APART * atS)) return []
    const read = parseLevel(nearest.text, { bareUnit: taking.bareUnit })
    if (!read.ok) return []
    const seen = seenLevel(read, { frequencyHz: slot.frequencyHz })
    return [{ slotId: slot.id, text: nearest.text, seen, source: taking.source }]
  })
}
