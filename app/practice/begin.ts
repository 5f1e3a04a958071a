import { eveningById, worldOf } from '#core/practice'
import type { Review } from '#core/review'
import { savePractice } from '~/storage/practiceStore'

/** Begins an evening: its review, to be put on the shelf, and what is kept beside it. */
export async function beginEvening(eveningId: string): Promise<Review> {
  const at = new Date().toISOString()
  const { review, hands } = worldOf(eveningById(eveningId), { reviewId: crypto.randomUUID(), at })
  await savePractice({ eveningId, reviewId: review.id, startedAt: at, hands, hints: [], result: null })
  return review
}
