import { describe, expect, it } from 'vitest'
import { ownBundle } from '#core/bundle'
import { demoReview } from '#core/demo'
import { readReviewFile, writeReviewFile } from '#core/review'

const AT = '2026-11-20T00:00:00.000Z'
const text = writeReviewFile(demoReview(), { version: '1.2.3', at: AT })

describe('a review file of this very program', () => {
  it('is the same bundle as when it is looked through', () => {
    const { missing, ...looked } = readReviewFile(text, 'demo.review.json')
    expect(missing).toEqual([])
    expect(ownBundle(text, '1.2.3')).toEqual(looked)
  })

  it('is not taken unseen from another version, another form, or when it is no review file', () => {
    expect(ownBundle(text, '1.2.4')).toBeNull()
    expect(ownBundle(text.replace('"schemaVersion": 8', '"schemaVersion": 5'), '1.2.3')).toBeNull()
    expect(ownBundle('{"format":"something else"}', '1.2.3')).toBeNull()
    expect(ownBundle('null', '1.2.3')).toBeNull()
    expect(ownBundle('[1, 2', '1.2.3')).toBeNull()
  })
})
