import { afterEach, describe, expect, it, vi } from 'vitest'
import { shallowRef, watch } from 'vue'
import { createContext } from '#core/context'
import { newReview, type Review } from '#core/review'
import { SENSITIVITY_ID } from '#core/station'
import { useHearingWeighting } from '~/composables/useHearingWeighting'

/** A review that changes as the store changes it, with no storage behind. */
function openReview() {
  const review = shallowRef<Review>(newReview({ id: 'r', title: 'r', at: '2026-11-20T00:00:00.000Z' }))
  const change = (_label: string, recipe: (draft: Review) => void) => {
    const draft = structuredClone(review.value)
    recipe(draft)
    review.value = draft
  }
  vi.stubGlobal('useReviewStore', () => ({
    get context() {
      return createContext(review.value)
    },
    change,
  }))
  return { review, change }
}

describe('how the audio is weighted', () => {
  afterEach(() => vi.unstubAllGlobals())

  it('is the same for whoever listens as long as neither filter nor de-emphasis is another', () => {
    const { change } = openReview()
    const { settings, choose } = useHearingWeighting()
    const told: unknown[] = []
    watch(settings, value => told.push(value.weighting), { deep: true, flush: 'sync' })
    change('the title', draft => (draft.title = 'another'))
    expect(told).toEqual([])
    choose('the de-emphasis', { deEmphasisUs: 750 })
    expect(told).toEqual([{ filter: 'voice', deEmphasisS: 750e-6 }])
    change('the title', draft => (draft.title = 'a third'))
    expect(told).toHaveLength(1)
  })

  it('keeps the one when the other is chosen', () => {
    const { review } = openReview()
    const { choose, deEmphasisUs } = useHearingWeighting()
    expect(deEmphasisUs.value).toBeNull()
    choose('the de-emphasis', { deEmphasisUs: 75 })
    choose('the filter', { filter: 'psophometric' })
    expect(review.value.memos[SENSITIVITY_ID]!.common).toEqual({
      filter: 'psophometric',
      deEmphasisUs: 75,
    })
    choose('the de-emphasis', { deEmphasisUs: null })
    expect(deEmphasisUs.value).toBeNull()
  })
})
