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
  const found = useSliced<SaidOfRadios>(() => begun(planned.value.value, saidOf, shown()))
  const together = useSliced<Remark[]>(() => begun(judged.value.value, remarksOf, undefined))
  const share = computed(() => planned.share.value ?? found.share.value)
  const togetherShare = computed(() => judged.share.value ?? together.share.value)
  return { found: found.value, share, together: together.value, togetherShare }
}

function begun<T, A>(context: Context | null, work: (context: Context, about: A) => Sliced<T>, about: A) {
  return context && { work: work(context, about), isSmall: isSmallReview(context.review) }
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

function* remarksOf(context: Context): Sliced<Remark[]> {
  return remarks(yield* findingsInSlices(context), context)
}
