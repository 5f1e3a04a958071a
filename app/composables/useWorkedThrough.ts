import type { Context } from '#core/context'
import { workThrough } from '#core/plan'
import { isSmallReview } from '~/largeReview'

/** The open review once all of it is planned, or judged: a large one is gone through in slices. */
export function useWorkedThrough(wanted: 'plans' | 'results') {
  const store = useReviewStore()
  return useSliced<Context>(() => {
    const { context, review } = store
    if (!context || !review) return null
    return { work: workThrough(context, wanted), isSmall: isSmallReview(review), after: store.savedSoon() }
  })
}
