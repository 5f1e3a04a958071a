import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import {
  currentFigures,
  figureSchema,
  migrateReview,
  type Review,
  type ReviewBundle,
  readingHistory,
  readReviewFile,
  stepKey,
  takenSchema,
  validateReview,
  writeReviewFile,
} from '#core/review'
import { AT, figure, harmonic, HARMONICS_STEP, reviewOf } from '../../support/bench'

const STAMP = { version: '0.3.0', at: AT }

/** A review as form 2 wrote it: today’s without what came later. */
function formTwo(): Record<string, unknown> {
  const {
    figures: _f,
    curves: _c,
    keyDowns: _k,
    notes: _n,
    pictures: _p,
    skipped: _s,
    runOrder: _o,
    ...rest
  } = JSON.parse(JSON.stringify(demoReview().review)) as Review
  const { offAirGeometry: _g, soundCue: _q, alsoStations: _a, ...settings } = rest.settings
  return {
    ...rest,
    settings,
    sets: rest.sets.map(({ stressConsent: _w, ...set }) => ({
      ...set,
      bands: set.bands.map(({ alsoSpacingsHz: _s, ...band }) => band),
    })),
    instruments: rest.instruments
      .filter(({ kind }) => kind !== 'receiver')
      .map(({ referencePpm: _r, ...instrument }) => instrument),
    chains: rest.chains.filter(({ instrumentId }) => instrumentId !== 'receiver'),
    readings: rest.readings.map(({ ambientC: _t, who: _u, ...reading }) => reading),
  }
}

describe('a review of form 2', () => {
  it('comes up to date: what nobody noted then is not made up', () => {
    const review = validateReview(formTwo())
    expect(review.settings).toMatchObject({ offAirGeometry: '', soundCue: false, alsoStations: [] })
    expect(review.sets.every(({ stressConsent }) => stressConsent === null)).toBe(true)
    expect(
      review.sets.flatMap(({ bands }) => bands).every(({ alsoSpacingsHz }) => alsoSpacingsHz.length === 0),
    ).toBe(true)
    expect(review.instruments.every(({ referencePpm }) => referencePpm === null)).toBe(true)
    expect(review.readings.every(({ ambientC, who }) => ambientC === null && who === '')).toBe(true)
    for (const list of [
      review.figures,
      review.curves,
      review.keyDowns,
      review.notes,
      review.pictures,
      review.skipped,
      review.runOrder,
    ])
      expect(list).toEqual([])
  })

  it('keeps every reading as it was', () => {
    const before = demoReview().review.readings
    const after = validateReview(formTwo()).readings
    expect(after.map(({ id, text, levelDbm }) => [id, text, levelDbm])).toEqual(
      before.map(({ id, text, levelDbm }) => [id, text, levelDbm]),
    )
  })

  it('leaves a review of today as it is', () => {
    const { review } = demoReview()
    expect(migrateReview(review)).toBe(review)
  })
})

describe('the file carries curves and pictures', () => {
  const bundle = (): ReviewBundle => {
    const { review, ...records } = demoReview()
    return {
      ...records,
      review: {
        ...review,
        pictures: [
          {
            id: 'p1',
            setId: 'trek-a',
            stepId: HARMONICS_STEP,
            name: 'bench.jpg',
            width: 1280,
            height: 960,
            bytes: 3,
            at: AT,
          },
        ],
      },
      pictures: new Map([['p1', 'data:image/jpeg;base64,AAAA']]),
    }
  }

  it('and gives both back, gaps and all', () => {
    const given = bundle()
    const [id] = [...given.curves.keys()]
    given.curves.set(id!, {
      x: Float64Array.of(0, 1),
      y: Float64Array.of(Number.NaN, 2),
      y2: new Float64Array(0),
    })
    const back = readReviewFile(writeReviewFile(given, STAMP), 'x.json')
    expect(back.curves.get(id!)!.y).toEqual(Float64Array.of(Number.NaN, 2))
    expect(back.pictures).toEqual(given.pictures)
    expect(back.review).toEqual(given.review)
  })

  it('is refused when a curve or a picture is missing, and says which', () => {
    const without = (change: (given: ReviewBundle) => void) => {
      const given = bundle()
      change(given)
      return () => readReviewFile(writeReviewFile(given, STAMP), 'x.json')
    }
    expect(without(given => given.pictures.clear())).toThrow('bench.jpg')
    expect(without(given => given.curves.clear())).toThrow('made for the demo')
  })

  it('takes nothing for a picture that is none', () => {
    const given = bundle()
    given.pictures.set('p1', 'data:text/html;base64,AAAA')
    expect(() => readReviewFile(writeReviewFile(given, STAMP), 'x.json')).toThrow('frame is damaged')
  })

  it('of form 2 has neither, and is read all the same', () => {
    const file = JSON.parse(writeReviewFile(demoReview(), STAMP)) as Record<string, unknown>
    const { curves: _c, pictures: _p, ...old } = file
    const back = readReviewFile(JSON.stringify({ ...old, schemaVersion: 2, review: formTwo() }), 'old.json')
    expect(back.curves.size + back.pictures.size).toBe(0)
  })
})

describe('what was taken', () => {
  const at = (minutes: number) => new Date(Date.parse(AT) + minutes * 60_000).toISOString()
  const deviation = (value: number, minutes: number) =>
    figure(value, { slot: 'tone', stepId: 'deviation:band:c1:high', unit: 'Hz', at: at(minutes) })

  it('stands until it is retaken; the history keeps both, in order of time', () => {
    const figures = [deviation(2000, 0), deviation(2100, 5)]
    const review = { ...reviewOf(), figures, readings: [harmonic(2, '-60')] }
    expect(currentFigures(review).get(stepKey('set', 'deviation:band:c1:high'))!.get('tone')!.value).toBe(
      2100,
    )
    expect(
      readingHistory(review, { setId: 'set', stepId: 'deviation:band:c1:high', slot: 'tone' }).map(
        ({ text }) => text,
      ),
    ).toEqual(['2000', '2100'])
    expect(readingHistory(review, { setId: 'set', stepId: HARMONICS_STEP, slot: 'x2' })).toHaveLength(1)
    expect(readingHistory(review, { setId: 'set', stepId: HARMONICS_STEP, slot: 'x3' })).toEqual([])
  })

  it('is held to its form', () => {
    const good = deviation(2000, 0)
    expect(takenSchema.validate(good).error).toBeUndefined()
    expect(takenSchema.validate(harmonic(2, '-60')).error).toBeUndefined()
    expect(figureSchema.validate({ ...good, unit: 'furlong' }).error).toBeDefined()
    expect(figureSchema.validate({ ...good, standardUncertainty: -1 }).error).toBeDefined()
    expect(figureSchema.validate({ ...good, who: undefined }).error).toBeDefined()
    expect(
      figureSchema.validate({
        ...good,
        source: { kind: 'recording', fileName: 'a.wav', sha256: '', curveIds: ['c1'] },
      }).error,
    ).toBeUndefined()
    expect(figureSchema.validate({ ...good, source: { kind: 'hearsay' } }).error).toBeDefined()
  })

  it('belongs to a radio of the review', () => {
    expect(() =>
      validateReview({ ...reviewOf(), figures: [{ ...deviation(2000, 0), setId: 'gone' }] }),
    ).toThrow('not in it')
  })
})
