import type { ClipHead } from '#core/review'
import { BY_EAR_ID, type BlindChoice, type BlindRound, byEarMemo, MOST_ROUNDS } from '#core/station'

/** The two clips of a round. */
export interface BlindPair {
  own: ClipHead
  other: ClipHead
}

/** A round that is going on. */
interface RunningRound extends BlindPair {
  first: BlindRound['first']
  heard: Set<'first' | 'second'>
}

/** Draws the order of a round, levels its clips, and writes the choice down. */
export function useBlindRound(pair: Readonly<Ref<BlindPair | null>>) {
  const store = useReviewStore()
  const ui = useUiStore()
  const round = ref<RunningRound | null>(null)
  /** What was chosen in the round before. */
  const last = ref<BlindChoice | null>(null)

  /** To take off the louder one, dB; nothing is made louder. */
  const gainsDb = computed(() => {
    const now = round.value ?? pair.value
    const own = now?.own.loudnessLufs ?? null
    const other = now?.other.loudnessLufs ?? null
    if (own === null || other === null) return { own: 0, other: 0 }
    const target = Math.min(own, other)
    return { own: target - own, other: target - other }
  })

  const doubts = computed(() => {
    const now = round.value ?? pair.value
    if (!now) return []
    const { own, other } = now
    return [
      ...(own.sounds === other.sounds
        ? []
        : ['One lets hear what a radio hears, the other how one sounds on the air.']),
      ...(own.words === other.words
        ? []
        : ['Not the same words are said in both: what is preferred may be the words.']),
      ...(own.loudnessLufs === null || other.loudnessLufs === null
        ? [
            'One is too soft to say how loud it is: they are not levelled, and the louder one is preferred easily.',
          ]
        : []),
    ]
  })

  function begin(): void {
    if (!pair.value) return
    last.value = null
    const [drawn] = crypto.getRandomValues(new Uint8Array(1))
    round.value = { ...pair.value, first: drawn! % 2 === 0 ? 'this' : 'other', heard: new Set() }
  }

  function choose(choice: 'first' | 'second' | 'same', who: string): void {
    const now = round.value
    if (!now || !store.context) return
    const { setId } = now.own
    const { rounds } = byEarMemo(setId, store.context)
    if (rounds.length >= MOST_ROUNDS) {
      round.value = null
      return ui.sayProblem(`${MOST_ROUNDS} rounds are kept with a radio. This one was not written down.`)
    }
    const said = choiceOf(choice, now.first)
    const isKept = keep(setId, [
      ...rounds,
      {
        ...{ id: crypto.randomUUID(), at: new Date().toISOString(), who },
        ...{ otherSetId: now.other.setId, clipId: now.own.id, otherClipId: now.other.id },
        ...{ first: now.first, choice: said },
      },
    ])
    if (isKept) last.value = said
    round.value = null
  }

  function keep(setId: string, rounds: readonly BlindRound[]): boolean {
    return store.change('a round of blind listening', draft => {
      const memo = (draft.memos[BY_EAR_ID] ??= { common: null, bySet: {} })
      memo.bySet[setId] = { rounds: rounds.map(one => ({ ...one })) }
    })
  }

  // A choice belongs to the two that were heard.
  watch(
    () => [pair.value?.own.id, pair.value?.other.id],
    () => (round.value = null),
  )

  return { round, begin, choose, last, gainsDb, doubts }
}

function choiceOf(choice: 'first' | 'second' | 'same', first: BlindRound['first']): BlindChoice {
  if (choice === 'same') return 'same'
  return (choice === 'first') === (first === 'this') ? 'this' : 'other'
}
