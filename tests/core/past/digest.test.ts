import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { digestOf } from '#core/past'
import { analyser, harmonic, reviewOf } from '../../support/bench'

describe('what a review comes to, for a shelf', () => {
  it('a mark for each radio, in the order of the review, with what tells it apart', () => {
    const { review } = demoReview()
    const { id, updatedAt, marks, radios } = digestOf(review)
    expect({ id, updatedAt }).toEqual({ id: review.id, updatedAt: review.updatedAt })
    expect(marks.map(({ setId }) => setId)).toEqual(review.sets.map(set => set.id))
    expect(marks.map(({ make }) => make)).toEqual(review.sets.map(({ make }) => make))
    expect(marks[0]!.bands).toEqual(review.sets[0]!.bands.map(({ name }) => name))
    expect(radios.length).toBeGreaterThan(0)
    // It is kept beside the review: it must come back from a file as it went.
    expect(JSON.parse(JSON.stringify(marks))).toEqual(marks)
  })

  it('one harmonic beyond its limit marks the radio, and it alone', () => {
    const clean = reviewOf({ instrument: analyser({ toHz: 3e9, floorDbm: -120 }) })
    const other = { ...clean.sets[0]!, id: 'other', sample: 'B' }
    const readings = [harmonic(1, '-13.0'), harmonic(2, '-40.0')]
    const { marks } = digestOf({ ...clean, sets: [clean.sets[0]!, other], readings })
    expect(marks.map(({ state }) => state)).toEqual(['outside', 'not-covered'])
  })
})
