import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { supposedReview, whatIf } from '#core/findings'
import { pastRadios } from '#core/past'
import type { Review } from '#core/review'
import { analyser, harmonic, reviewOf } from '../../support/bench'

const bench = (x3 = '-67.0'): Review => ({
  ...reviewOf({ instrument: analyser({ toHz: 3e9, floorDbm: -120 }) }),
  readings: [harmonic(1, '-13.0'), harmonic(2, '-85.0'), harmonic(3, x3)],
})
const figureAt = (review: Review, label: string) =>
  pastRadios(createContext(review))[0]!.figures.find(({ title }) => title.endsWith(label))!.value

describe('what if', () => {
  it('a part lost a decibel more: every level at the socket is a decibel higher, and nothing else', () => {
    const review = bench()
    const partId = review.chains[0]!.parts[0]!.id
    const supposed = supposedReview(review, { kind: 'part', partId, byDb: 1 })
    for (const label of ['×2', '×3'])
      expect(figureAt(supposed, label) - figureAt(review, label)).toBeCloseTo(1, 6)
    expect(supposed.readings).toBe(review.readings)
    expect(supposed.chains[0]!.revision).toBe(review.chains[0]!.revision + 1)
  })

  it('names the verdict that turns: ×3 at −17 dBm is a decibel inside, with three more two outside, with one less as before', () => {
    const review = bench()
    const partId = review.chains[0]!.parts[0]!.id
    const differences = whatIf(review, { kind: 'part', partId, byDb: 3 })
    const turned = differences.filter(({ isVerdict }) => isVerdict)
    const x3 = turned.find(({ place }) => place.endsWith('×3'))
    expect(x3!.before).toContain('Inside by 1.0')
    expect(x3!.after).toContain('Outside by 2.0')
    const less = whatIf(review, { kind: 'part', partId, byDb: -1 })
    expect(less.filter(({ isVerdict }) => isVerdict)).toEqual([])
  })

  it('shared risk decides what the sure rule cannot', () => {
    const review = bench('-66.2')
    const differences = whatIf(review, { kind: 'rule', rule: 'shared-risk' })
    const x3 = differences.find(({ place }) => place.endsWith('×3'))
    expect(x3).toMatchObject({ isVerdict: true })
    expect(x3!.before).toContain('Too close to call')
    expect(whatIf(review, { kind: 'rule', rule: review.settings.decisionRule })).toEqual([])
  })
})
