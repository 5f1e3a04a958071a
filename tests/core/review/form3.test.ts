import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import {
  standingReadings,
  migrateReview,
  type ReviewBundle,
  stepHistory,
  readingSchema,
  readReviewFile,
  validateReview,
  writeReviewFile,
} from '#core/review'
import { AT, figure, harmonic, HARMONICS_STEP, reviewOf } from '../../support/bench'
import { formThree, formTwo } from '../../support/oldForms'

const STAMP = { version: '0.3.0', at: AT }

describe('a review of form 2', () => {
  it('comes up to date: what nobody noted then is not made up', () => {
    const review = validateReview(formTwo())
    expect(review.settings).toMatchObject({ soundCue: false, alsoStations: [] })
    expect(review.memos).toEqual({})
    expect(
      review.sets.flatMap(({ bands }) => bands).every(({ alsoSpacingsHz }) => alsoSpacingsHz.length === 0),
    ).toBe(true)
    expect(review.instruments.every(({ referencePpm }) => referencePpm === null)).toBe(true)
    expect(review.readings.every(({ ambientC, who }) => ambientC === null && who === '')).toBe(true)
    for (const list of [
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
    const before = formTwo().readings
    const after = validateReview(formTwo()).readings
    expect(after.map(({ id, text, seen }) => [id, text, seen.as === 'level' && seen.levelDbm])).toEqual(
      before.map(({ id, text, levelDbm }) => [id, text, levelDbm]),
    )
  })

  it('of form 3 keeps chains by role, geometry and consent with their stations', () => {
    const old = formThree()
    const [first, ...others] = old.sets
    const consent = { by: 'the owner', at: AT }
    const review = validateReview({ ...old, sets: [{ ...first, stressConsent: consent }, ...others] })
    expect(review.sets[0]!.chains).toEqual({
      'carrier-power': { instrument: 'power' },
      harmonics: { instrument: 'club50' },
    })
    expect(review.memos['off-air']!.common).toEqual({ geometry: old.settings.offAirGeometry })
    expect(review.memos.stress!.bySet).toEqual({ [review.sets[0]!.id]: consent })
  })

  it('leaves a review of today as it is', () => {
    const { review } = demoReview()
    expect(migrateReview(review)).toBe(review)
  })
})

describe('the file carries curves, pictures and clips', () => {
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

  it('and gives all back, gaps and all', () => {
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
    expect(back.clips).toEqual(given.clips)
    expect(back.clips.size).toBe(3)
    expect(back.review).toEqual(given.review)
  })

  it('comes in without a curve or a picture that is not in it, and says which', () => {
    const without = (change: (given: ReviewBundle) => void) => {
      const given = bundle()
      change(given)
      return readReviewFile(writeReviewFile(given, STAMP), 'x.json').missing
    }
    expect(without(() => {})).toEqual([])
    expect(without(given => given.pictures.clear())).toEqual(['the picture “bench.jpg”'])
    expect(without(given => void given.clips.delete('clip-mini'))).toEqual(['the clip “made for the demo”'])
    expect(without(given => given.curves.clear())[0]).toBe('a curve of “made for the demo”')
  })

  it('takes nothing for a clip that is none', () => {
    const given = bundle()
    given.clips.set('clip-mini', 'data:audio/ogg;base64,AAAA')
    expect(() => readReviewFile(writeReviewFile(given, STAMP), 'x.json')).toThrow('frame is damaged')
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

  it('stands until it is retaken; the history keeps both', () => {
    const readings = [deviation(2000, 0), deviation(2100, 5), harmonic(2, '-60')]
    const review = { ...reviewOf(), readings }
    const step = standingReadings(readings).get('deviation:band:c1:high')!
    expect(step.get('tone')!.text).toBe('2100')
    const history = (stepId: string) =>
      stepHistory(review, { setId: 'set', stepId }).map(({ reading, stands }) => [reading.text, stands])
    expect(history('deviation:band:c1:high')).toEqual([
      ['2000', false],
      ['2100', true],
    ])
    expect(history(HARMONICS_STEP)).toEqual([['-60', true]])
  })

  it('stands in the order it was taken, and says where the clock was set back', () => {
    const readings = [deviation(2000, 60), deviation(2100, 5), deviation(2200, 59), deviation(2300, 60)]
    const review = { ...reviewOf(), readings }
    const history = stepHistory(review, { setId: 'set', stepId: 'deviation:band:c1:high' })
    expect(history.map(({ stands }) => stands)).toEqual([false, false, false, true])
    expect(history.map(({ clockWentBack }) => clockWentBack)).toEqual([false, true, true, false])
    const step = standingReadings(readings).get('deviation:band:c1:high')!
    expect(step.get('tone')!.text).toBe('2300')
  })

  it('is held to its form', () => {
    const good = deviation(2000, 0)
    const refused = (change: object) => readingSchema.validate({ ...good, ...change }).error
    expect(refused({})).toBeUndefined()
    expect(readingSchema.validate(harmonic(2, '-60')).error).toBeUndefined()
    expect(refused({ seen: { ...good.seen, unit: 'furlong' } })).toBeDefined()
    expect(refused({ seen: { ...good.seen, standardUncertainty: -1 } })).toBeDefined()
    expect(refused({ seen: { ...good.seen, value: Number.NaN } })).toBeDefined()
    expect(refused({ seen: { ...good.seen, as: 'level' } })).toBeDefined()
    expect(refused({ who: undefined })).toBeDefined()
    const recording = { kind: 'recording', fileName: 'a.wav', sha256: '', curveIds: ['c1'] }
    expect(refused({ source: recording })).toBeUndefined()
    expect(refused({ source: { kind: 'hearsay' } })).toBeDefined()
  })

  it('belongs to a radio of the review', () => {
    expect(() =>
      validateReview({ ...reviewOf(), readings: [{ ...deviation(2000, 0), setId: 'gone' }] }),
    ).toThrow('not in it')
  })
})
