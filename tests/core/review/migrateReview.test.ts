import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { migrateReview, readReviewFile, type Review, validateReview, writeReviewFile } from '#core/review'

/** A review as form 1 wrote it: today's without what came later. */
function formOne(): Record<string, unknown> {
  const {
    calibrations: _c,
    calibrationSwaps: _s,
    padTests: _p,
    controlChecks: _k,
    otherFigures: _o,
    ownRulebooks: _r,
    figures: _f2,
    curves: _cu,
    keyDowns: _kd,
    notes: _n,
    pictures: _pi,
    skipped: _sk,
    runOrder: _ro,
    ...rest
  } = JSON.parse(JSON.stringify(demoReview().review)) as Review
  const {
    rulebookIds,
    calibrationMaxAgeDays: _a,
    ambientC: _t,
    duty: _d,
    offAirGeometry: _og,
    soundCue: _sc,
    alsoStations: _as,
    ...settings
  } = rest.settings
  return {
    ...rest,
    settings: { ...settings, rulebookId: rulebookIds[0] },
    sets: rest.sets.map(({ stressConsent: _sc2, ...set }) => ({
      ...set,
      bands: set.bands.map(
        ({ mode: _m, channelSpacingHz: _h, antennaGainDbd: _g, rulebookIds: _b, ...band }) => band,
      ),
    })),
    instruments: rest.instruments.map(instrument =>
      Object.fromEntries(
        Object.entries(instrument).filter(([key]) => key !== 'flatnessDb' && key !== 'referencePpm'),
      ),
    ),
    chains: rest.chains.map(chain => ({
      ...chain,
      parts: chain.parts.map(
        ({
          zeroRatingAtC: _z,
          peakW: _w,
          typical: _y,
          calibrationId: _i,
          lossUncertainty: { shareOfLoss: _l, flatnessDb: _f, ...lossUncertainty },
          ...part
        }) => ({ ...part, lossUncertainty }),
      ),
    })),
    readings: rest.readings.map(
      ({ calibrationIds: _i, repeatsDbm: _r, ambientC: _a2, who: _w2, ...reading }) => reading,
    ),
  }
}

describe('a review of form 1', () => {
  it('comes up to date and is judged by its one rulebook', () => {
    const review = validateReview(formOne())
    expect(review.settings).toMatchObject({
      rulebookIds: ['us-amateur'],
      decisionRule: 'sure-either-way',
      ambientC: 25,
    })
    expect(review.sets[0]!.bands[0]).toMatchObject({ mode: 'FM', channelSpacingHz: null, rulebookIds: null })
    expect(review.readings).toHaveLength(demoReview().review.readings.length)
  })

  it('comes in as a file of its own form', () => {
    const { review, traces } = demoReview()
    const file = JSON.parse(
      writeReviewFile(
        { review, traces, curves: new Map(), pictures: new Map() },
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
