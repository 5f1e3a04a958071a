import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { migrateReview, readReviewFile, validateReview, writeReviewFile } from '#core/review'
import { formOne } from '../../support/oldForms'

describe('a review of form 6', () => {
  it('gets a place for clips, and loses nothing', () => {
    const { clips, ...older } = demoReview().review
    expect(clips.length).toBeGreaterThan(0)
    expect(validateReview(older)).toEqual({ ...older, clips: [] })
  })
})

describe('a review of form 1', () => {
  it('comes up to date and is judged by its one rulebook', () => {
    const review = validateReview(formOne())
    expect(review.settings).toMatchObject({
      rulebookIds: ['us-amateur'],
      decisionRule: 'sure-either-way',
      ambientC: 25,
    })
    expect(review.sets[0]!.bands[0]).toMatchObject({ mode: 'FM', channelSpacingHz: null, rulebookIds: null })
    expect(review.readings).toHaveLength(formOne().readings.length)
  })

  it('comes in as a file of its own form', () => {
    const { review, traces } = demoReview()
    const file = JSON.parse(
      writeReviewFile(
        { review, traces, curves: new Map(), pictures: new Map(), clips: new Map() },
        { version: '0.1.0', at: review.createdAt },
      ),
    ) as Record<string, unknown>
    expect(
      readReviewFile(JSON.stringify({ ...file, schemaVersion: 1, review: formOne() }), 'old.json').review
        .settings.rulebookIds,
    ).toEqual(['us-amateur'])
  })

  it('leaves anything else for validation to judge', () => {
    for (const data of [null, 5, [], {}, { settings: {} }]) expect(migrateReview(data)).toBe(data)
    expect(() => validateReview({ ...formOne(), settings: { rulebookId: 'atlantis' } })).toThrowError(
      expect.objectContaining({ code: 'bad-review' }),
    )
    const now = demoReview().review
    expect(() =>
      validateReview({ ...now, settings: { ...now.settings, rulebookIds: ['atlantis'] } }),
    ).toThrowError(/atlantis/)
  })
})
