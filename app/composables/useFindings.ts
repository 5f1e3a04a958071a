import { type Findings, findingsInSlices, mayIKey, type MayIKey, remarks } from '#core/findings'
import type { Context } from '#core/context'
import type { RadioSet } from '#core/review'
import type { Sliced } from '#core/sliced'
import type { Remark } from '#core/station'
import { isSmallReview } from '~/largeReview'

/** What is said of the radios that are shown, and whether each of them may be keyed, band by band. */
export interface SaidOfRadios extends Findings {
  keying: MayIKey[]
}

/** The findings of some radios of the open review, and what all say together; of a large one in slices. */
export function useFindings(shown: () => readonly RadioSet[]) {
  const planned = useWorkedThrough('plans')
  const judged = useWorkedThrough('results')
  const said = useSliced(() => begun(planned.value.value, context => saidOf(context, shown())))
  const found = said.value
  /** What was found of all radios, where all are shown. */
  const ofAll = computed(() => {
    const count = judged.value.value?.review.sets.length
    return found.value?.sets.length === count ? found.value : null
  })
  const together = useSliced(() => begun(judged.value.value, context => remarksOf(context, ofAll.value)))
  const share = computed(() => planned.share.value ?? said.share.value)
  const togetherShare = computed(() => judged.share.value ?? together.share.value)
  return { found, share, together: together.value, togetherShare }
}

function begun<T>(context: Context | null, work: (context: Context) => Sliced<T>) {
  return context && { work: work(context), isSmall: isSmallReview(context.review) }
}

function* saidOf(context: Context, sets: readonly RadioSet[]): Sliced<SaidOfRadios> {
  const found = yield* findingsInSlices(context, sets)
  const keying: MayIKey[] = []
  for (const set of found.sets) {
    keying.push(...mayIKey(set, context))
    yield 1
  }
  return { ...found, keying }
}

function* remarksOf(context: Context, ofAll: Findings | null): Sliced<Remark[]> {
  return remarks(ofAll ?? (yield* findingsInSlices(context)), context)
}
