import { recordNames, writeRecords } from './disk'
import { belongsTo } from './recordNames'
import { copiedReviews, recordsInCopy } from './secondCopy'

/**
 * Puts reviews of which the database holds nothing back from their second copies: a browser that finds its
 * database damaged may throw it away whole and begin another.
 * @returns the reviews that are back.
 */
export async function broughtBack(isWanted: (reviewId: string) => boolean = () => true): Promise<string[]> {
  const copies = (await copiedReviews()).filter(isWanted)
  if (copies.length === 0) return []
  const names = await recordNames()
  const back: string[] = []
  for (const id of copies) {
    if (names.some(name => belongsTo(id, name))) continue
    const records = await recordsInCopy(id)
    if (!records || records.length === 0) continue
    await writeRecords(records)
    back.push(id)
  }
  return back
}
