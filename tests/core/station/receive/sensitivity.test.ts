import { describe, expect, it } from 'vitest'
import { rulebookById } from '#core/rules'
import { SENSITIVITY_ID, stationById } from '#core/station'
import { answerOf, resultOf, slot } from '../../../support/stations'
import {
  generator,
  hearingReview,
  microvoltClaim,
  pointsAround,
  sinad,
  withReadings,
} from '../../../support/hearing'

const AROUND = [-4, -1, 1, 5]
const at = (slotId: string, wantedDbm: number, frequencyHz?: number) => ({
  stationId: SENSITIVITY_ID,
  slot: slotId,
  wantedDbm,
  frequencyHz,
})

describe('sensitivity', () => {
  it('takes the path off the generator’s level: 12 dB at −120 dBm at the socket', () => {
    const context = withReadings(hearingReview(), pointsAround(-120, AROUND))
    const mark = slot(resultOf(SENSITIVITY_ID, context), 'sinad-12')
    expect(mark.found!.value).toBeCloseTo(-120, 0)
    expect(mark.found!.path).toMatchObject({ lossDb: 10, signal: 'to-radio' })
    expect(mark.found!.path!.atInstrumentDbm - mark.found!.value).toBeCloseTo(10, 9)
  })

  it('carries generator, path and curve in its budget', () => {
    const context = withReadings(hearingReview(), pointsAround(-120, AROUND))
    const { budget } = slot(resultOf(SENSITIVITY_ID, context), 'sinad-12').found!
    const ids = budget.contributions.map(({ id }) => id)
    expect(ids).toEqual(expect.arrayContaining(['instrument:gen', 'part:combiner', 'curve']))
    const better = withReadings(
      hearingReview({ first: generator({ levelAccuracyDb: 0.2 }) }),
      pointsAround(-120, AROUND),
    )
    expect(slot(resultOf(SENSITIVITY_ID, better), 'sinad-12').found!.budget.range).toBeLessThan(budget.range)
  })

  it('is judged by the claim: no higher than it says, pd or emf as chosen', () => {
    const verdict = (receives: ReturnType<typeof microvoltClaim>[]) => {
      const context = withReadings(hearingReview({ receives }), pointsAround(-120, AROUND))
      return slot(resultOf(SENSITIVITY_ID, context), 'sinad-12').claim!.verdict.state
    }
    // 0.3 µV pd is −117.4 dBm, 0.16 µV −122.9 dBm; 0.3 µV taken as emf −123.5 dBm.
    expect(verdict([microvoltClaim(0.3)])).toBe('inside')
    expect(verdict([microvoltClaim(0.16)])).toBe('outside')
    expect(verdict([microvoltClaim(0.3, { takenAs: 'emf' })])).toBe('outside')
    expect(verdict([microvoltClaim(0.224)])).toBe('too-close')
  })

  it('says through which filter and which de-emphasis it was heard; a memo without one means the radio’s own', () => {
    const said = (common: unknown) => {
      const review = hearingReview()
      if (common) review.memos = { [SENSITIVITY_ID]: { common, bySet: {} } }
      const context = withReadings(review, pointsAround(-120, AROUND))
      return slot(resultOf(SENSITIVITY_ID, context), 'sinad-12').notes.join(' ')
    }
    expect(said(null)).toContain('Audio through 300 Hz to 3 kHz. ')
    expect(said({ filter: 'flat' })).toContain('20 Hz to 20 kHz, no weighting. ')
    expect(said({ filter: 'voice', deEmphasisUs: 750 })).toContain('300 Hz to 3 kHz, 750 µs de-emphasis. ')
  })

  it('a limit for 20 dB psophometric says nothing of 12 dB SINAD; the yardstick does', () => {
    const context = withReadings(hearingReview(), pointsAround(-120, AROUND))
    const mark = slot(resultOf(SENSITIVITY_ID, context), 'sinad-12')
    expect(mark.each.map(({ limit }) => limit.kind)).toEqual(['no-figure'])
    expect(mark.yardstick!.verdict.state).toBe('inside')
  })

  it('20 dB through the psophometric filter is judged by EN 300 086; through another it is not', () => {
    const judged = (filter: string) => {
      const review = hearingReview()
      review.memos = { sensitivity: { common: { filter }, bySet: {} } }
      const context = withReadings(review, pointsAround(-118, [-2, 2, 4, 6]))
      return slot(resultOf(SENSITIVITY_ID, context), 'sinad-20').each[0]!.limit.kind
    }
    expect(judged('psophometric')).toBe('scalar')
    expect(judged('voice')).toBe('no-figure')
  })

  it('a clause that names no way of measuring means the usual one: 12 dB, never 10 or 20', () => {
    const review = hearingReview()
    review.ownRulebooks = [
      {
        ...rulebookById('good-practice'),
        id: 'own',
        clauses: [
          {
            ...rulebookById('good-practice').clauses.find(({ about }) => about === 'sensitivity')!,
            when: {},
          },
        ],
      },
    ]
    review.settings.rulebookIds = ['own']
    const result = resultOf(SENSITIVITY_ID, withReadings(review, pointsAround(-119, [-4, -1, 1, 3, 5])))
    const kinds = ['sinad-12', 'sinad-20', 'sinad-10'].map(id => slot(result, id).each[0]?.limit.kind)
    expect(kinds).toEqual(['scalar', 'no-figure', 'no-figure'])
  })

  it('asks for readings lower where the mark lies beyond them', () => {
    const context = withReadings(hearingReview(), pointsAround(-120, [7, 9, 11]))
    expect(slot(resultOf(SENSITIVITY_ID, context), 'sinad-12').words).toBe('Read lower')
  })

  it('has one more point to read than were read', () => {
    const context = withReadings(hearingReview(), pointsAround(-120, [-2, 2]))
    const ids = resultOf(SENSITIVITY_ID, context).slots.map(one => one.slot.id)
    expect(ids.filter(id => /^p\d/.test(id))).toEqual(['p1', 'p2', 'p3'])
  })

  it('off frequency by 600 Hz: told, and the earlier points are asked for again', () => {
    const skirts = [-1000, -500, 0, 500, 1000].map(hz =>
      sinad(18 - 6 * ((hz - 600) / 1000) ** 2, at(`f${hz}`, -105)),
    )
    const context = withReadings(hearingReview(), [...pointsAround(-120, AROUND), ...skirts])
    const result = resultOf(SENSITIVITY_ID, context)
    expect(result.questions.map(({ words }) => words).join(' ')).toContain('best +600 Hz')
    expect(slot(result, 'sinad-12').state).toBe('open')
    const again = pointsAround(-120, AROUND).map(point => ({
      ...point,
      applied: { generator: { ...point.applied.generator!, frequencyHz: 154e6 + 600 } },
    }))
    const after = withReadings(hearingReview(), [...again, ...skirts])
    expect(slot(resultOf(SENSITIVITY_ID, after), 'sinad-12').state).toBe('read')
  })

  it('a SINAD that stays with the cable off is not the radio’s', () => {
    const asked = (leakDb: number) => {
      const points = pointsAround(-120, AROUND)
      const context = withReadings(hearingReview(), [...points, sinad(leakDb, at('leak', -114))])
      return resultOf(SENSITIVITY_ID, context)
        .questions.map(({ words }) => words)
        .join(' ')
    }
    // −124 dBm at the socket read 4 dB.
    expect(asked(3.5)).toContain('leaks around the cable')
    expect(asked(0.5)).not.toContain('leaks around the cable')
  })

  it('the coach proposes in the generator’s own levels, and stops', () => {
    const station = stationById(SENSITIVITY_ID)
    const coached = (count: number) => {
      const context = withReadings(hearingReview(), pointsAround(-120, AROUND.slice(0, count)))
      return station.coach!(station.plan(context.review.sets[0]!, context)[0]!, context)!
    }
    const begun = coached(0)
    expect(begun.next!.levelDbm - begun.socketDbm!).toBeCloseTo(10, 9)
    expect(begun.next).toMatchObject({ slotId: 'p1', role: 'generator' })
    expect(coached(4)).toMatchObject({ isDone: true, next: null })
  })

  it('answers for the set with its first mark', () => {
    const context = withReadings(
      hearingReview({ receives: [microvoltClaim(0.3)] }),
      pointsAround(-120, AROUND),
    )
    expect(answerOf(SENSITIVITY_ID, context)).toMatchObject({ gap: null })
    expect(answerOf(SENSITIVITY_ID, context).words).toContain('Inside the claim')
  })
})
