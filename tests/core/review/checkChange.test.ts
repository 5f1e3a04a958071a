import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import {
  checkChange,
  readingsThrough,
  removeBand,
  removeChain,
  removeChannel,
  removeLevel,
  removeSet,
  type Review,
  validateReview,
} from '#core/review'

const copy = () => JSON.parse(JSON.stringify(demoReview().review)) as Review
const [first] = copy().readings

describe('a change is held against the schema before it is kept', () => {
  it.each<[string, (review: Review) => void, (string | number)[][]]>([
    ['a silent recording’s bandwidth', r => void (r.readings[0]!.seen.value = Number.NaN), [['readings', 0]]],
    [
      'a resolution bandwidth of 10000 MHz',
      r => void Object.assign(r.instruments[1]!, { resolutionBandwidthHz: 1e10 }),
      [['instruments', 1, 'resolutionBandwidthHz']],
    ],
    ['a name of 407 letters', r => void (r.chains[0]!.name = 'x'.repeat(407)), [['chains', 0, 'name']]],
    [
      'a twenty-first power level',
      r => void (r.sets[0]!.levels = Array.from({ length: 21 }, (_one, i) => ({ id: `l${i}`, name: '' }))),
      [['sets', 0, 'levels', 20]],
    ],
    ['a radio removed alone', r => void r.sets.shift(), [['sets', 'length']]],
    [
      'an unknown rulebook',
      r => void (r.settings.rulebookIds = ['atlantis']),
      [['settings', 'rulebookIds', 0]],
    ],
    [
      'the last reading, of a radio that is not there',
      r => void Object.assign(r.readings.at(-1)!, { setId: 'nobody' }),
      [['readings', copy().readings.length - 1, 'setId']],
    ],
    [
      'a band that asks for an unknown rulebook',
      r => void (r.sets[1]!.bands[0]!.rulebookIds = ['atlantis']),
      [['sets', 1, 'bands', 0, 'rulebookIds']],
    ],
    ['no title', r => void (r.title = ''), [['title']]],
    [
      'a station’s memo that is named and missing',
      r => void Object.assign(r.memos, { stress: undefined }),
      [['memos', 'stress']],
    ],
    [
      'a claim that is named and missing',
      r => void Object.assign(r.sets[0]!.bands[0]!.claims, { high: undefined }),
      [['sets', 0, 'bands', 0, 'claims', 'high']],
    ],
    [
      'an id that every object answers to',
      r => void (r.instruments[0]!.id = 'constructor'),
      [['instruments', 0, 'id']],
    ],
  ])('%s is refused in words, and could not have been opened again', (_name, change, paths) => {
    const review = copy()
    change(review)
    const refusal = checkChange(review, paths)
    expect(refusal?.code).toBe('bad-review')
    expect(refusal?.message.length).toBeGreaterThan(20)
    expect(() => validateReview(review)).toThrow()
  })

  it('looks only at what was touched, and lets good changes pass', () => {
    const review = copy()
    review.title = 'Another'
    review.readings.push({ ...first!, id: 'new' })
    expect(checkChange(review, [['title'], ['readings', review.readings.length - 1]])).toBeNull()
    expect(checkChange(review, [['readings', 'length']])).toBeNull()
    // What was not touched is not looked at.
    review.purpose = 'x'.repeat(9000)
    expect(checkChange(review, [['title']])).toBeNull()
    expect(checkChange(review, [['purpose']])).not.toBeNull()
  })

  it('a stray reading is looked for among those that were touched, and among all once a radio was', () => {
    const review = copy()
    Object.assign(review.readings[3]!, { setId: 'nobody' })
    expect(checkChange(review, [['readings', 4]])).toBeNull()
    expect(checkChange(review, [['notes']])).toBeNull()
    expect(checkChange(review, [['readings', 3]])).not.toBeNull()
    expect(checkChange(review, [['readings']])).not.toBeNull()
    expect(checkChange(review, [['sets', 0, 'note']])).not.toBeNull()
  })
})

describe('removals leave nothing behind that belongs to what is gone', () => {
  const left = (review: Review, gone: string) => JSON.stringify(review).includes(gone)

  it('a radio goes with its readings, records, checks and memos', () => {
    const review = copy()
    review.memos.stress = { common: null, bySet: { 'trek-b': { by: 'x', at: review.createdAt } } }
    review.runOrder = ['trek-b|harmonics:2m:2m-2:high', 'trek-a|harmonics:2m:2m-2:high']
    review.ticks = { 'trek-b|x': ['a'], 'trek-a|x': ['a'] }
    removeSet(review, 'trek-b')
    expect(left(review, '"trek-b')).toBe(false)
    expect(review.runOrder).toEqual(['trek-a|harmonics:2m:2m-2:high'])
    expect(Object.keys(review.ticks)).toEqual(['trek-a|x'])
    expect(validateReview(review).sets).toHaveLength(5)
  })

  it('a band, a channel and a level go with what was read there, and nothing else', () => {
    const review = copy()
    const stepsOf = (setId: string) =>
      new Set(review.readings.filter(one => one.setId === setId).map(({ stepId }) => stepId))
    const others = review.readings.filter(({ setId }) => setId !== 'trek-a').length
    removeLevel(review, { setId: 'trek-a', levelId: 'low' })
    expect([...stepsOf('trek-a')].some(id => id.endsWith(':low'))).toBe(false)
    expect([...stepsOf('trek-a')].some(id => id.endsWith(':2m:2m-2:high'))).toBe(true)
    removeChannel(review, { setId: 'trek-a', bandId: '2m', channelId: '2m-2' })
    expect([...stepsOf('trek-a')].some(id => id.includes(':2m-2:'))).toBe(false)
    expect([...stepsOf('trek-a')].some(id => id.includes(':2m-1:'))).toBe(true)
    removeBand(review, { setId: 'trek-a', bandId: '2m' })
    expect([...stepsOf('trek-a')].some(id => /:2m(:|$)/.test(id))).toBe(false)
    expect([...stepsOf('trek-a')].some(id => id.includes(':70cm'))).toBe(true)
    // What is of the whole set stays.
    expect([...stepsOf('trek-a')]).toContain('battery')
    expect(review.readings.filter(({ setId }) => setId !== 'trek-a')).toHaveLength(others)
    const set = validateReview(review).sets[0]!
    expect([set.levels.map(({ id }) => id), set.bands.map(({ id }) => id)]).toEqual([['high'], ['70cm']])
    expect(Object.keys(set.bands[0]!.claims)).toEqual(['high'])
  })

  it('a chain goes with the readings that went through it, which are counted first', () => {
    const review = copy()
    const before = review.readings.length
    const through = readingsThrough(review, 'pocket50')
    expect(through).toBeGreaterThan(5)
    removeChain(review, 'pocket50')
    expect(review.readings).toHaveLength(before - through)
    expect(left(review, '"pocket50"')).toBe(false)
    validateReview(review)
  })
})
