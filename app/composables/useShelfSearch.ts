import { verdictStateWords } from '#core/decision/stateWords'
import type { ReviewDigest } from '#core/past'
import type { ReviewHead } from '~/storage'

/** Looks reviews up by what is written on them and what they came to: every word must fit somewhere. */
export function useShelfSearch(
  heads: () => readonly ReviewHead[],
  digests: Readonly<Ref<ReadonlyMap<string, ReviewDigest>>>,
) {
  const wanted = ref<string | null>('')
  const found = computed(() => {
    const words = (wanted.value ?? '').toLowerCase().split(/\s+/).filter(Boolean)
    return heads().filter(head => {
      const text = textOf(head, digests.value.get(head.id))
      return words.every(word => text.includes(word))
    })
  })
  return { wanted, found }
}

function textOf({ title, setNames }: ReviewHead, digest: ReviewDigest | undefined): string {
  const marks = digest?.marks ?? []
  const known = marks.flatMap(({ make, name, bands, state }) => [
    make,
    name,
    ...bands,
    verdictStateWords[state],
  ])
  return [title, ...setNames, ...known].join(' ').toLowerCase()
}
