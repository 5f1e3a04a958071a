import { createContext } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { findings } from '#core/findings'
import { readReviewFile, validateReview, writeReviewFile } from '#core/review'
import { spelledOut } from '../../support/spelledOut'

const STAMP = { version: '0.1.0', at: '2026-11-20T10:00:00.000Z' }
const text = writeReviewFile(demoReview(), STAMP)
const refused = (content: string) => {
  try {
    readReviewFile(content, 'x.json')
  } catch (error) {
    return error as { code: string; message: string }
  }
  throw new Error('was taken')
}
const changed = (
  change: (file: {
    review: Record<string, unknown> & { readings: { setId: string }[] }
    traces: { levelsDbm: number[] }[]
    schemaVersion: number
  }) => void,
) => {
  const file = JSON.parse(text)
  change(file)
  return JSON.stringify(file)
}

describe('the review file', () => {
  it('comes back with every figure the same', () => {
    const back = readReviewFile(text, 'x.json')
    expect(back.review).toEqual(demoReview().review)
    expect(back.traces).toEqual(demoReview().traces)
    const before = spelledOut(findings(createContext(demoReview().review)))
    expect(spelledOut(findings(createContext(back.review)))).toEqual(before)
  })

  it('may start with a byte-order mark', () =>
    expect(readReviewFile(`\uFEFF${text}`, 'x.json').review.id).toBe('demo-fell-race'))

  it.each([
    ['nothing', '', 'empty'],
    ['half a file', text.slice(0, 5000), 'cut short'],
    ['another JSON', '{"a":1}', 'not a review'],
    ['a list', '[]', 'not a review'],
    ['a page', '<html>', 'not JSON'],
    ['a forbidden key', text.replace('"review"', '"__proto__": {"x": 1}, "review"'), '__proto__'],
  ])('refuses %s in words, and says that the shelf is as it was', (_name, content, word) => {
    const { code, message } = refused(content)
    expect(code).toBe('bad-file')
    expect(message).toContain(word)
    expect(message).toContain('as it was')
  })

  it('refuses a reading of a set that is not there', () =>
    expect(
      refused(
        changed(file => {
          file.review.readings[0]!.setId = 'ghost'
        }),
      ).code,
    ).toBe('bad-review'))
  it('refuses a damaged field and names it', () => {
    expect(
      refused(
        changed(file => {
          file.review.title = 5
        }),
      ).message,
    ).toContain('title')
    expect(
      refused(
        changed(file => {
          file.review.extra = 1
        }),
      ).code,
    ).toBe('bad-review')
  })
  it('refuses traces that do not add up', () => {
    expect(refused(changed(file => void file.traces[0]!.levelsDbm.pop())).message).toContain('levels')
  })
  it('refuses a newer form and says what to do', () =>
    expect(
      refused(
        changed(file => {
          file.schemaVersion = 99
        }),
      ),
    ).toMatchObject({ code: 'newer-version', message: expect.stringContaining('Update') }))
})

describe('validateReview', () => {
  it('takes no strings for numbers', () => {
    const review = demoReview().review
    expect(() =>
      validateReview({ ...review, settings: { ...review.settings, claimToleranceDb: '1' } }),
    ).toThrowError(expect.objectContaining({ code: 'bad-review' }))
  })
})
