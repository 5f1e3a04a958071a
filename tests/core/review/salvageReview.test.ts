import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { demoReview } from '#core/demo'
import {
  leftOutWords,
  newReview,
  type Review,
  salvageReview,
  salvageReviewFile,
  validateReview,
  writeReviewFile,
} from '#core/review'
import { buildReport } from '#core/report'
import { formThree } from '../../support/oldForms'

const given = { id: 'new', title: 'A damaged review', at: '2026-11-27T00:00:00.000Z' }
const demo = (): Review => structuredClone(demoReview().review)
const leftOf = (data: unknown) => salvageReview(data, given)!.left.map(leftOutWords)

describe('what is sound of a damaged review', () => {
  it('is all of a sound one, under an identity of its own', () => {
    const { review, left } = salvageReview(demo(), given)!
    expect(left).toEqual([])
    expect(review).toEqual({ ...demo(), id: 'new' })
  })

  it('is brought up to date where it is of an older form', () => {
    const { review, left } = salvageReview(formThree(), given)!
    expect(left).toEqual([])
    expect(review.readings.length).toBeGreaterThan(100)
  })

  it('leaves out the one reading that is damaged, and keeps its neighbours', () => {
    const data = demo()
    const readings = data.readings.filter((_reading, i) => i !== 7)
    data.readings[7] = { ...data.readings[7]!, at: 'yesterday' }
    const { review, left } = salvageReview(data, given)!
    expect(review.readings).toEqual(readings)
    expect(left.map(leftOutWords)).toEqual(['1 reading, damaged'])
  })

  it('leaves out what belonged to a radio that is damaged, and counts it', () => {
    const data = demo()
    const [gone] = data.sets.splice(1, 1)
    const strays = data.readings.filter(({ setId }) => setId === gone!.id).length
    expect(strays).toBeGreaterThan(5)
    expect(leftOf(data)).toContain(`${strays} readings, of a radio that is not there`)
    expect(leftOf(data)).toContain('1 trace, of a radio that is not there')
  })

  it('takes a new review’s settings for damaged ones, and drops rulebooks nobody has', () => {
    const broken = { ...demo(), settings: { rulebookIds: 'none' } }
    expect(leftOf(broken)).toEqual(['how it judges: the settings are those of a new review'])
    const unknown = demo()
    unknown.settings.rulebookIds = ['us-amateur', 'of-the-moon']
    unknown.sets[0]!.bands[0]!.rulebookIds = ['of-the-sun']
    const { review, left } = salvageReview(unknown, given)!
    expect(left.map(leftOutWords)).toEqual(['2 rulebooks asked for, that nobody has'])
    expect(review.settings.rulebookIds).toEqual(['us-amateur'])
    expect(review.sets[0]!.bands[0]!.rulebookIds).toBeNull()
  })

  it('cuts a list that is longer than a review holds', () => {
    const data = demo()
    data.runOrder = new Array<string>(20_003).fill('a|b')
    expect(leftOf(data)).toEqual(['3 places of the run’s order, more than a review holds'])
  })

  it.each([null, 7, 'text', []])('is nothing of %j', data => expect(salvageReview(data, given)).toBeNull())

  it('is always a review that opens, whatever single value is garbage', () => {
    const fields = Object.keys(newReview(given)) as (keyof Review)[]
    const garbage = fc.oneof(
      fc.constantFrom(null, Number.NaN, Infinity, '', [], {}, [null], { id: {} }, 'x'.repeat(500)),
      fc.anything({ maxDepth: 2, maxKeys: 3 }),
    )
    const whole = demo()
    fc.assert(
      fc.property(fc.constantFrom(...fields), garbage, fc.boolean(), (field, value, inList) => {
        const list: unknown = whole[field]
        const put = inList && Array.isArray(list) ? [value, ...(list as unknown[]).slice(0, 3)] : value
        const { review } = salvageReview({ ...whole, [field]: put }, given)!
        expect(() => validateReview(review)).not.toThrow()
      }),
      { numRuns: 60, seed: 20261127 },
    )
  })

  it('can be reported even where chains and instruments are gone', () => {
    const { review } = salvageReview({ ...demo(), chains: 'gone', instruments: [] }, given)!
    expect(() => buildReport(createContext(review), { version: '0', at: 'now' })).not.toThrow()
  })

  it('comes from a file too, with the traces that are not in it named', () => {
    const bundle = demoReview()
    const text = writeReviewFile({ ...bundle, traces: new Map() }, { version: '0', at: given.at })
    const hurt = text.replace('"kind": "handheld"', '"kind": "submarine"')
    const found = salvageReviewFile(hurt, 'hurt.json', given)!
    expect(found.left.map(leftOutWords)[0]).toBe('1 radio, damaged')
    expect(found.missing).toEqual(['the trace “trek2-b-146520-high.csv”'])
    expect(found.curves.size).toBe(bundle.curves.size)
  })
})
