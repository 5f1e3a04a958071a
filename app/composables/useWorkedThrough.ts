import type { Context } from '#core/context'
import { workThrough } from '#core/plan'
import type { Review } from '#core/review'

/** Reviews up to this many radios and readings are worked through at once, within a frame or two. */
const SMALL = { sets: 25, readings: 1500 }

export const isSmallReview = ({ sets, readings }: Pick<Review, 'sets' | 'readings'>): boolean =>
  sets.length <= SMALL.sets && readings.length <= SMALL.readings

/** The open review once all of it is planned, or judged: a large one is gone through in slices. */
export function useWorkedThrough(wanted: 'plans' | 'results') {
  const store = useReviewStore()
  return useSliced<Context>(() => {
    const { context, review } = store
    return context && review && { work: workThrough(context, wanted), isSmall: isSmallReview(review) }
  })
}
