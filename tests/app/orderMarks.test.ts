import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { demoReview } from '#core/demo'
import { groupsOf, marksOf } from '~/composables/useOrderMarks'
import { harmonic, radio, reviewOf } from '../support/bench'

const marksFor = (review: ReturnType<typeof reviewOf>) => marksOf(createContext(review), review.sets[0]!)

describe('marks of the order of work', () => {
  it('say nothing of a run in which nothing is planned: it is not done', () => {
    const bare = radio()
    const { marks } = marksFor(reviewOf({ set: { ...bare, bands: [] } }))
    expect(marks.get('run')).toMatchObject({ state: null, words: '–' })
  })

  it('count the open steps of a run that is planned', () => {
    expect(marksFor(reviewOf()).marks.get('run')).toMatchObject({
      state: null,
      words: expect.stringMatching(/^[1-9]\d* open$/),
    })
  })

  it('take the worst of a station’s steps, and a group the worst of its places', () => {
    const review = { ...reviewOf(), readings: [harmonic(1, '-13'), harmonic(2, '-20')] }
    const order = marksFor(review)
    expect(order.marks.get('harmonics')?.state).toBe('outside')
    const transmits = groupsOf(order).find(({ id }) => id === 'transmit')
    expect(transmits?.state).toBe('outside')
  })

  it('count what can be said of the radio, and say of a group without steps that there are none', () => {
    const unread = groupsOf(marksFor(reviewOf()))
    const read = groupsOf(marksFor({ ...reviewOf(), readings: [harmonic(1, '-13'), harmonic(2, '-20')] }))
    const outcome = (groups: typeof read) => groups.find(({ id }) => id === 'outcome')
    expect(outcome(unread)).toMatchObject({ state: null, count: expect.stringMatching(/^0\/[1-9]/) })
    expect(outcome(read)).toMatchObject({
      state: 'outside',
      count: expect.stringMatching(/^[1-9]\d*\/[1-9]/),
    })
    expect(read.find(({ id }) => id === 'whole')?.count).toMatch(/^0\/[1-9]/)
    const bare = reviewOf()
    const without = { ...bare, sets: bare.sets.map(set => ({ ...set, bands: [] })) }
    expect(groupsOf(marksFor(without)).find(({ id }) => id === 'whole')?.count).toBe('–')
  })

  it('stand in the order of work', () => {
    const { review } = demoReview()
    expect(groupsOf(marksFor(review)).map(({ id }) => id)).toEqual([
      'prepare',
      'transmit',
      'receive',
      'whole',
      'outcome',
    ])
  })
})
