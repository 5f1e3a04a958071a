import { beforeEach, describe, expect, it, vi } from 'vitest'
import { demoReview } from '#core/demo'
import type { Review } from '#core/review'
import { rulebookById, writeRulebookFile } from '#core/rules'
import { useReviewStore } from '~/stores/review'
import { useUiStore } from '~/stores/ui'

const kept = vi.hoisted(() => ({ review: null as Review | null }))
vi.mock('~/storage', () => ({
  noteChange: () => {},
  OvertakenError: class extends Error {},
  DamagedReviewError: class extends Error {},
  loadReview: async () => kept.review,
  saveReview: async () => {},
  loadTrace: async () => null,
  saveTrace: async () => {},
}))
vi.mock('~/storage/reviewLock', () => ({
  lockReview: (_id: string, onChange: (state: 'mine') => void) => {
    onChange('mine')
    return { takeOver: async () => {}, release: () => {} }
  },
}))
Object.assign(globalThis, { useReviewStore })
const { useOwnRulebooks } = await import('~/composables/useOwnRulebooks')
const { useBenchEdits } = await import('~/composables/useBenchEdits')

beforeEach(async () => {
  kept.review = demoReview().review
  await useReviewStore().open('demo-fell-race')
})

const file = (text: string) => new File([text], 'book.json', { type: 'application/json' })

describe('the reviewer’s own rulebooks', () => {
  it('are copied, changed, and a change that would break one is refused with its reason', () => {
    const { copy, change, own } = useOwnRulebooks()
    const id = copy('us-amateur')
    expect(own.value[0]).toMatchObject({ id, owner: 'reviewer', basedOn: 'us-amateur' })
    expect(
      change(id, 'a title', draft => {
        draft.title = 'Race rules'
      }),
    ).toBeNull()
    expect(
      change(id, 'a title', draft => {
        draft.title = ''
      }),
    ).toContain('Nothing was changed')
    expect(
      change(id, 'a limit', draft => {
        draft.clauses[0]!.limit = { kind: 'absolute', powerW: -5 }
      }),
    ).toContain('clause “97.307d”')
    expect(own.value[0]).toMatchObject({
      title: 'Race rules',
      clauses: expect.arrayContaining([
        expect.objectContaining({ limit: { kind: 'relative', attenuationDb: 43 } }),
      ]),
    })
    expect(change('nobody', 'x', () => {})).toContain('not in the review')
    useReviewStore().undo()
    expect(own.value[0]?.title).toBe('US amateur, my copy')
  })

  it('are not removed while something is judged by them', () => {
    const { copy, remove, own } = useOwnRulebooks()
    const id = copy('good-practice-40')
    const store = useReviewStore()
    store.change('judge', draft => {
      draft.settings.rulebookIds = [id]
    })
    remove(own.value[0]!)
    expect(useUiStore().notice?.text).toContain('it stays')
    expect(own.value).toHaveLength(1)
    store.change('judge', draft => {
      draft.settings.rulebookIds = ['us-amateur']
    })
    remove(own.value[0]!)
    expect(own.value).toHaveLength(0)
  })

  it('come in as files: good ones as theirs under an id of their own, bad ones refused in words', async () => {
    const { bringIn, own } = useOwnRulebooks()
    await bringIn(file(writeRulebookFile(rulebookById('us-frs'))))
    expect(own.value[0]).toMatchObject({ owner: 'reviewer', title: 'US FRS' })
    expect(own.value[0]!.id).not.toBe('us-frs')
    await bringIn(file('{"format":"something else"}'))
    expect(useUiStore().notice).toMatchObject({
      tone: 'problem',
      text: expect.stringContaining('not a rulebook'),
    })
    await bringIn(undefined)
    expect(own.value).toHaveLength(1)
  })
})

describe('a measured path on the bench', () => {
  const calibration = {
    id: 'new',
    partId: 'pocket50-pad30',
    partName: '30 dB pad',
    at: '2026-11-20T00:00:00.000Z',
    withWhat: '',
    expandedDb: 0.2,
    points: [{ frequencyHz: 1e8, throughDbm: -20, withPartDbm: -50.4 }],
  }

  it('stands for the part; earlier readings stay until asked, and the asking can be undone', () => {
    const store = useReviewStore()
    const edits = useBenchEdits()
    const chain = () => store.review!.chains.find(({ id }) => id === 'pocket50')!
    const part = () => chain().parts.find(({ id }) => id === 'pocket50-pad30')!
    const readings = store.review!.readings.filter(
      ({ through }) => through.instrument?.chainId === 'pocket50',
    ).length
    const revision = chain().revision
    edits.keepCalibration('pocket50', calibration)
    expect(part().calibrationId).toBe('new')
    expect(chain().revision).toBe(revision + 1)
    expect(edits.readingsOnOther(chain(), part())).toHaveLength(readings)
    edits.rejudge(chain(), part())
    expect(edits.readingsOnOther(chain(), part())).toHaveLength(0)
    expect(store.review!.calibrationSwaps).toMatchObject([
      { partId: 'pocket50-pad30', fromId: null, toId: 'new' },
    ])
    store.undo()
    expect(edits.readingsOnOther(chain(), part())).toHaveLength(readings)
  })

  it('comes with parts from the library', () => {
    const store = useReviewStore()
    const id = useBenchEdits().addLibraryPart('pocket50', 'coax-rg-223')
    expect(store.review!.chains.find(chain => chain.id === 'pocket50')!.parts.at(-1)).toMatchObject({
      id,
      kind: 'jumper',
      typical: true,
      loss: { kind: 'coax', lengthM: 1 },
    })
  })
})
