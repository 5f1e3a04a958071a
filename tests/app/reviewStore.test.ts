import { beforeEach, describe, expect, it, vi } from 'vitest'
import { demoReview } from '#core/demo'
import type { Review } from '#core/review'
import { useReviewStore } from '~/stores/review'
import { useUiStore } from '~/stores/ui'

const kept = vi.hoisted(() => ({
  review: null as Review | null,
  saves: [] as Review[],
  fail: null as Error | null,
  whileReading: null as (() => void) | null,
  answersLate: null as Promise<void> | null,
  onChange: null as ((state: 'mine' | 'elsewhere') => void) | null,
}))

const NoStorageError = vi.hoisted(
  () =>
    class extends Error {
      constructor(readonly answered: Promise<unknown> | null) {
        super('It does not answer.')
      }
    },
)
vi.mock('~/storage', () => ({
  DamagedReviewError: class extends Error {},
  OvertakenError: class extends Error {},
  NoStorageError,
  noteChange: () => {},
  loadReview: async () => {
    if (kept.answersLate) throw new NoStorageError(kept.answersLate)
    const found = kept.review
    kept.whileReading?.()
    return found
  },
  saveReview: async (review: Review) => {
    if (kept.fail) throw kept.fail
    kept.saves.push(review)
  },
  loadTrace: async () => null,
  saveTrace: async () => {},
}))
vi.mock('~/storage/reviewLock', () => ({
  lockReview: (_id: string, onChange: (state: 'mine' | 'elsewhere') => void) => {
    kept.onChange = onChange
    onChange('mine')
    return { takeOver: async () => onChange('mine'), release: () => {} }
  },
}))

const twentyOneLevels = (review: Review) =>
  Array.from({ length: 21 }, (_unused, i) => ({ ...review.sets[0]!.levels[0]!, id: `level-${i}` }))

async function opened() {
  const store = useReviewStore()
  await store.open('demo-fell-race')
  return store
}

describe('the review store', () => {
  beforeEach(() => {
    Object.assign(kept, { review: demoReview().review, saves: [], fail: null, whileReading: null })
  })

  it('opens a review and knows when there is none', async () => {
    const store = await opened()
    expect(store.review?.title).toContain('Fell-race')
    expect(store.context?.rulebooks[0]?.id).toBe('us-amateur')
    store.close()
    kept.review = null
    await store.open('nowhere')
    expect(store.missing).toBe(true)
  })

  it('changes only through change, saves at once, and keeps the old document whole', async () => {
    const store = await opened()
    const before = store.review!
    expect(
      store.change('a title', draft => {
        draft.title = 'New'
      }),
    ).toBe(true)
    expect(store.review!.title).toBe('New')
    expect(before.title).toContain('Fell-race')
    await vi.waitFor(() => expect(kept.saves.at(-1)?.title).toBe('New'))
    expect(store.saveState.kind).toBe('saved')
  })

  it('undoes and does again, and forgets the future after a new change', async () => {
    const store = await opened()
    const first = store.review!.title
    store.change('one', draft => {
      draft.title = 'One'
    })
    store.change('two', draft => {
      draft.title = 'Two'
    })
    store.undo()
    store.undo()
    expect(store.review!.title).toBe(first)
    expect(store.canUndo).toBe(false)
    store.redo()
    expect(store.review!.title).toBe('One')
    store.change('three', draft => {
      draft.title = 'Three'
    })
    expect(store.canRedo).toBe(false)
    store.undo()
    expect(store.review!.title).toBe('One')
  })

  it.each([
    ['a name of 401 characters', (draft: Review) => void (draft.chains[0]!.name = 'x'.repeat(401))],
    ['a bandwidth that is no number', (draft: Review) => void (draft.settings.ambientC = Number.NaN)],
    ['twenty-one power levels', (draft: Review) => void (draft.sets[0]!.levels = twentyOneLevels(draft))],
    [
      'a radio gone from under its readings',
      (draft: Review) =>
        void draft.sets.splice(
          draft.sets.findIndex(({ id }) => id === 'trek-b'),
          1,
        ),
    ],
  ])('refuses %s in words, keeps nothing of it, and is saved as it was', async (_what, recipe) => {
    const store = await opened()
    const before = store.review
    expect(store.change('what could not be opened again', recipe)).toBe(false)
    expect(store.review).toBe(before)
    expect(store.refusal.message).toMatch(/^[A-Z].*\.$/)
    expect(useUiStore().notice?.text).toContain('The review is as it was before.')
    expect([store.canUndo, kept.saves.length, store.saveState.kind]).toEqual([false, 0, 'saved'])
  })

  it('takes no step for a change that changes nothing', async () => {
    const store = await opened()
    store.change('nothing', draft => {
      draft.title = String(draft.title)
    })
    expect(store.canUndo).toBe(false)
  })

  it('is not closed by the page of another review, left after it was opened', async () => {
    const store = await opened()
    store.leave('another')
    expect(store.review?.id).toBe('demo-fell-race')
    store.leave('demo-fell-race')
    expect(store.review).toBeNull()
  })

  it.each([
    ['opens', () => {}, 'demo-fell-race'],
    ['is let be', (store: ReturnType<typeof useReviewStore>) => store.leave('demo-fell-race'), undefined],
  ])(
    'from a database that answers late it %s, by whether its page is still there',
    async (_what, act, id) => {
      let answer = () => {}
      kept.answersLate = new Promise(resolve => (answer = resolve))
      const store = await opened()
      expect(store.problem).toBe('It does not answer.')
      act(store)
      kept.answersLate = null
      answer()
      await new Promise(resolve => setTimeout(resolve, 50))
      expect(store.review?.id).toBe(id)
    },
  )

  it('is read-only while another tab has the review, and says so', async () => {
    const store = await opened()
    kept.onChange!('elsewhere')
    expect(store.readOnly).toBe(true)
    const title = store.review!.title
    expect(
      store.change('a title', draft => {
        draft.title = 'Stolen'
      }),
    ).toBe(false)
    expect(store.review!.title).toBe(title)
    expect(useUiStore().notice?.text).toContain('another tab')
    await store.takeOver()
    expect(store.readOnly).toBe(false)
  })

  it('keeps what is changed while it is read again', async () => {
    const store = await opened()
    kept.whileReading = () => {
      kept.whileReading = null
      store.change('a title', draft => void (draft.title = 'Meanwhile'))
      kept.review = store.review
    }
    await store.takeOver()
    expect(store.review!.title).toBe('Meanwhile')
    expect(kept.saves.at(-1)?.title).toBe('Meanwhile')
  })

  it('says when a change could not be saved and keeps it on the screen', async () => {
    const store = await opened()
    kept.fail = new Error('The browser’s storage is full.')
    store.change('a title', draft => {
      draft.title = 'Unsaved'
    })
    await vi.waitFor(() => expect(store.saveState.kind).toBe('failed'))
    expect(store.review!.title).toBe('Unsaved')
    expect(useUiStore().notice).toMatchObject({ tone: 'problem' })
  })

  it('appends a retake and takes it out again on undo', async () => {
    const store = await opened()
    const count = store.review!.readings.length
    const again = { ...store.review!.readings[0]!, id: 'again', supersedes: store.review!.readings[0]!.id }
    store.change('a retake', draft => void draft.readings.push(again))
    expect(store.review!.readings).toHaveLength(count + 1)
    store.undo()
    expect(store.review!.readings).toHaveLength(count)
  })
})
