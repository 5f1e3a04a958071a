import { describe, expect, it, vi } from 'vitest'
import { type Context, createContext, createSharedWork } from '#core/context'
import type { Review } from '#core/review'
import { copyRulebook, rulebookById } from '#core/rules'
import { AT, harmonic, HARMONICS_STEP, POWER_STEP, reading, reviewOf } from '../../support/bench'

const review = {
  ...reviewOf(),
  readings: [
    reading('5.1', { slot: 'carrier', stepId: POWER_STEP, frequencyHz: 146.52e6 }),
    harmonic(3, '-71.5'),
  ],
  skipped: [{ setId: 'set', stepId: HARMONICS_STEP, reason: 'no analyser', at: AT }],
}

describe('what a context says of steps', () => {
  it('is each step’s own, whatever order they are asked in', () => {
    const context = createContext(review)
    const power = { set: { id: 'set' }, id: POWER_STEP }
    const harmonics = { set: { id: 'set' }, id: HARMONICS_STEP }
    const other = { set: { id: 'another' }, id: POWER_STEP }
    for (let round = 0; round < 2; round++) {
      expect([...context.readingsOf(power).keys()]).toEqual(['carrier'])
      expect(context.skipReason(power)).toBeNull()
      expect([...context.readingsOf(harmonics).keys()]).toEqual(['x3'])
      expect(context.skipReason(harmonics)).toBe('no analyser')
      expect(context.readingsOf(other).size).toBe(0)
    }
    expect(context.reading('set', HARMONICS_STEP, 'x3')?.text).toBe('-71.5')
  })
})

describe('rulebooks of a context', () => {
  const ids = ['us-amateur', 'mine']
  const own = copyRulebook(rulebookById('us-amateur'), 'mine')
  const withOwn = (title: string) => ({ ...review, ownRulebooks: [{ ...own, title }] })

  it('are the ones named, shipped and own, in their order', () => {
    const books = createContext(withOwn('Mine')).rulebooksOf({ rulebookIds: ids })
    expect(books.map(({ title }) => title)).toEqual([rulebookById('us-amateur').title, 'Mine'])
  })

  it('follow an own one that was changed, although the list that asks is the same', () => {
    const shared = createSharedWork()
    const titles = (title: string) =>
      createContext(withOwn(title), shared)
        .rulebooksOf({ rulebookIds: ids })
        .map(book => book.title)
    expect(titles('Mine')[1]).toBe('Mine')
    expect(titles('Mine, second edition')[1]).toBe('Mine, second edition')
  })
})

describe('what is worked out of one radio', () => {
  const set = { ...review.sets[0]! }
  const other = { ...set, id: 'other', sample: 'B' }
  const two = { ...review, sets: [set, other] }
  const step = { set, id: POWER_STEP }

  it('is kept while nothing it can see changes, and follows whatever does, named by nobody', () => {
    const shared = createSharedWork()
    const seen = vi.fn((_step: object, { review: shown }: Context) => `${shown.settings.ambientC} °C`)
    const say = (state: Review) => createContext(state, shared).ofRadio('set', seen, step)
    expect(say(two)).toBe(`${two.settings.ambientC} °C`)
    expect(say({ ...two, title: 'Other', sets: [set, { ...other, sample: 'C' }] })).toBe(say(two))
    expect(seen).toHaveBeenCalledTimes(1)
    expect(say({ ...two, settings: { ...two.settings, ambientC: 45 } })).toBe('45 °C')
  })

  it('sees the whole review where it looks at another radio, and follows its name', () => {
    const shared = createSharedWork()
    const names = ({ id }: { id: string }, { review: shown }: Context) =>
      `${id}: ${shown.sets.map(({ sample }) => sample).join()}`
    const say = (state: Review) => createContext(state, shared).ofRadio('set', names, step)
    const named = (sample: string) => say({ ...two, sets: [set, { ...other, sample }] })
    expect(named('B')).toBe(`${POWER_STEP}: ${set.sample},B`)
    expect(named('Z')).toBe(`${POWER_STEP}: ${set.sample},Z`)
  })

  it('throws what it throws on its own account', () => {
    const fails = () => {
      throw new Error('no')
    }
    expect(() => createContext(two).ofRadio('set', fails, step)).toThrow('no')
  })
})
