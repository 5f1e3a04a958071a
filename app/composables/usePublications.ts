import { differenceWords, publish, shortMark, sincePublished } from '#core/publication'
import { readFigures, type ReviewDifference } from '#core/findings'
import type { Publication } from '#core/review'
import { signed } from '~/publication/signingKey'

/** A publication of the open review, beside what the review comes to now. */
export interface StandingPublication {
  publication: Publication
  mark: string
  differences: ReviewDifference[]
  /** What differs, in words. */
  since: string
}

/** What was published of the open review, how it differs now, and publishing it. */
export function usePublications() {
  const store = useReviewStore()
  const ui = useUiStore()
  const shelf = useShelfStore()
  const version = String(useRuntimeConfig().public.version)
  const judged = useWorkedThrough('results')
  const isBusy = ref(false)

  const standing = computed<StandingPublication[]>(() => {
    const context = judged.value.value
    const published = store.review?.publications ?? []
    if (!context || published.length === 0) return []
    const now = readFigures(context)
    return published.toReversed().map(publication => {
      const differences = sincePublished(publication, context, now)
      return {
        publication,
        mark: shortMark(publication),
        differences,
        since: `Since it was published: ${differenceWords(differences)}.`,
      }
    })
  })
  const share = computed(() => (store.review?.publications.length ? judged.share.value : null))

  /** Freezes the review as it stands. */
  async function freeze(note: string, isSigned: boolean): Promise<void> {
    const { review } = store
    if (!review || isBusy.value) return
    isBusy.value = true
    try {
      const made = publish(await shelf.pointsOf(review), {
        id: crypto.randomUUID(),
        at: new Date().toISOString(),
        who: review.reviewer,
        note: note.trim(),
        version,
      })
      const kept = isSigned ? await signed(made) : made
      if (store.change('a publication', draft => void draft.publications.push(kept)))
        ui.say(
          `Published: ${shortMark(kept)}, ${kept.figures.length} figures. Take the review away to hand it on.`,
        )
    } catch (error) {
      ui.sayProblem(error)
    }
    isBusy.value = false
  }

  return { standing, share, freeze, isBusy: readonly(isBusy) }
}
