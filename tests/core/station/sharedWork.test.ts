import type { StepResult } from '#core/step'
import { type SharedWork, createContext, createSharedWork } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { findings } from '#core/findings'
import type { Review, SeenLevel, StationMemo } from '#core/review'
import { type Antenna, ANTENNA_ID, REACH_ID, stationById, stations } from '#core/station'

/** Everything a review comes to, as plain data. */
function judged(review: Review, shared?: SharedWork): unknown {
  const context = createContext(review, shared)
  return JSON.parse(
    JSON.stringify(
      findings(context).rows.map(({ question, answers }) => [
        question.id,
        answers.map(({ answer: { results: _results, governs: _governs, ...answer } }) => answer),
      ]),
    ),
  )
}

function resultOf(review: Review, shared: SharedWork, setId: string, stationId: string): StepResult {
  const context = createContext(review, shared)
  const station = stations.find(({ id }) => id === stationId)!
  return station.evaluate(
    station.plan(
      review.sets.find(({ id }) => id === setId)!,
      context,
    )[0]!,
    context,
  )
}

const changes: [string, (review: Review) => Review][] = [
  [
    'a pad’s loss',
    review => ({
      ...review,
      chains: review.chains.map(chain =>
        chain.id === 'pocket50'
          ? {
              ...chain,
              parts: chain.parts.map(part =>
                part.kind === 'pad' ? { ...part, loss: { kind: 'figure', lossDb: 31 } } : part,
              ),
            }
          : chain,
      ),
    }),
  ],
  [
    'an offset',
    review => ({ ...review, chains: review.chains.map(chain => ({ ...chain, offsetOnInstrumentDb: 3 })) }),
  ],
  [
    'an instrument',
    review => ({
      ...review,
      instruments: review.instruments.map(instrument =>
        instrument.kind === 'spectrum-analyser' ? { ...instrument, amplitudeAccuracyDb: 0.4 } : instrument,
      ),
    }),
  ],
  [
    'the rulebooks',
    review => ({ ...review, settings: { ...review.settings, rulebookIds: ['itu-spurious', 'us-amateur'] } }),
  ],
  [
    'the decision rule',
    review => ({ ...review, settings: { ...review.settings, decisionRule: 'four-states' } }),
  ],
  ['the yardstick', review => ({ ...review, settings: { ...review.settings, yardstickId: null } })],
  [
    'a claim',
    review => ({
      ...review,
      sets: review.sets.map(set => ({
        ...set,
        bands: set.bands.map(band => ({
          ...band,
          claims: { ...band.claims, high: { kind: 'watts', powerW: 4 } },
        })),
      })),
    }),
  ],
  [
    'a band’s own rulebook',
    review => ({
      ...review,
      sets: review.sets.map(set => ({
        ...set,
        bands: set.bands.map(band => ({
          ...band,
          rulebookIds: ['eu-land-mobile'],
          channelSpacingHz: 12_500,
        })),
      })),
    }),
  ],
  [
    'a retake',
    review => ({
      ...review,
      readings: [
        ...review.readings,
        {
          ...review.readings[0]!,
          id: 'again',
          text: '1 W',
          seen: { ...review.readings[0]!.seen, levelDbm: 30, value: 1 } as SeenLevel,
          supersedes: review.readings[0]!.id,
        },
      ],
    }),
  ],
  ['a reading taken out', review => ({ ...review, readings: review.readings.slice(3) })],
  [
    'a calibration swapped',
    review => ({
      ...review,
      calibrationSwaps: [
        { id: 's', at: review.createdAt, partId: 'club50-pad30', fromId: 'cal-club-pad30', toId: null },
      ],
    }),
  ],
  [
    'a calibration’s figures',
    review => ({
      ...review,
      calibrations: review.calibrations.map(one => ({
        ...one,
        points: one.points.map(point => ({ ...point, withPartDbm: point.withPartDbm - 2 })),
      })),
    }),
  ],
]

describe('work kept from one state of a review to the next', () => {
  const start = demoReview().review

  it.each(changes)('%s changed: the same as worked out afresh, there and back', (_name, change) => {
    const shared = createSharedWork()
    const before = judged(start, shared)
    const changed = change(start)
    const after = judged(changed, shared)
    expect(after).toEqual(judged(changed))
    expect(after).not.toEqual(before)
    expect(judged(start, shared)).toEqual(before)
  })

  it('keeps the very result where nothing it depends on changed', () => {
    const shared = createSharedWork()
    const first = resultOf(start, shared, 'trek-a', 'carrier-power')
    expect(resultOf({ ...start, title: 'Another title' }, shared, 'trek-a', 'carrier-power')).toBe(first)
    expect(resultOf(changes[0]![1](start), shared, 'trek-a', 'carrier-power')).toBe(first)
    const harmonics = resultOf(start, shared, 'trek-b', 'harmonics')
    expect(resultOf(changes[0]![1](start), shared, 'trek-b', 'harmonics')).not.toBe(harmonics)
  })
})

describe('the steps a station plans, kept from one state of its memo to the next', () => {
  const start = demoReview().review
  const antenna = (name: string, held: string): Antenna => ({
    ...{ id: 'supplied', name, kind: 'supplied', held },
    ...{ labelHz: null, labelVswr: null },
  })
  const withMemo = (stationId: string, memo: StationMemo): Review => ({
    ...start,
    memos: { ...start.memos, [stationId]: memo },
  })
  const planned = (stationId: string, memo: StationMemo, shared: SharedWork) => {
    const context = createContext(withMemo(stationId, memo), shared)
    const set = context.review.sets.find(({ id }) => id === 'trek-a')!
    return stationById(stationId).plan(set, context)[0]!
  }

  it('an antenna named and held otherwise is planned under its new words', () => {
    const shared = createSharedWork()
    const memoOf = (name: string, held: string): StationMemo => ({
      common: null,
      bySet: { 'trek-a': { antennas: [antenna(name, held)] } },
    })
    const before = planned(ANTENNA_ID, memoOf('Short', ''), shared)
    const after = planned(ANTENNA_ID, memoOf('Long', 'on a car'), shared)
    expect(before.variant?.title).toBe('Short')
    expect(after.variant?.title).toBe('Long')
    expect(after.radioSettings[0]!.words).toBe('Long antenna: on a car')
    expect(after.id).toBe(before.id)
  })

  it('a signal added is a slot more', () => {
    const shared = createSharedWork()
    const memoOf = (...ids: string[]): StationMemo => ({
      common: { place: 'gate', signals: ids.map(id => ({ id, who: id, where: 'hill' })) },
      bySet: {},
    })
    const asked = (...ids: string[]) =>
      planned(REACH_ID, memoOf(...ids), shared).slots.filter(({ id }) => id.startsWith('signal-')).length
    expect([asked('one'), asked('one', 'two'), asked('one')]).toEqual([1, 2, 1])
  })
})
