import { isRead, type SlotResult } from '../../../step'
import { momentOf } from './droop'

/** A moment of the log that is due, or is next. */
export interface MomentDue {
  slotId: string
  label: string
  atS: number
}

/**
 * The moment to be read now: the latest that has come and was not read, else the next one. One that a later moment has
 * overtaken is let go.
 * @param keyedS - how long the radio has been keyed.
 */
export function momentDue(slots: readonly SlotResult[], keyedS: number): MomentDue | null {
  const moments = slots
    .flatMap(result => {
      const atS = momentOf(result.slot)
      return atS === null
        ? []
        : [{ slotId: result.slot.id, label: result.slot.label, atS, read: isRead(result) }]
    })
    .sort((a, b) => a.atS - b.atS)
  const latest = moments.findLast(({ atS }) => atS <= keyedS)
  const chosen = latest && !latest.read ? latest : moments.find(({ atS, read }) => atS > keyedS && !read)
  return chosen ? { slotId: chosen.slotId, label: chosen.label, atS: chosen.atS } : null
}
