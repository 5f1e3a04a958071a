import { canonicalReview, sha256Of, shortMark } from '#core/publication'

/** Mark of the last publication, as long as the open review is still the very one; else empty. */
export function usePublicationMark() {
  const store = useReviewStore()
  return computed(() => {
    const { review } = store
    const last = review?.publications.at(-1)
    return review && last && sha256Of(canonicalReview(review)) === last.sha256 ? shortMark(last) : ''
  })
}
