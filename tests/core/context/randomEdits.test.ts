import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createContext, createSharedWork, type SharedWork } from '#core/context'
import { demoReview } from '#core/demo'
import type { Instrument } from '#core/chain'
import type { Review } from '#core/review'
import { stations } from '#core/station'
import { rounds } from '../../support/howThorough'

/** Everything a review comes to, as plain data. */
function judged(review: Review, shared: SharedWork): unknown {
  const context = createContext(review, shared)
  return JSON.parse(
    JSON.stringify(
      review.sets.flatMap(set =>
        stations.flatMap(station =>
          station.plan(set, context).map(step => {
            const { slots, verdict, words, questions, progress } = station.evaluate(step, context)
            const figures = slots.map(({ slot, state, found, verdict: own, words: said, notes }) => [
              slot.id,
              state,
              found && [found.value, found.budget.range],
              own.margin,
              said,
              notes,
            ])
            return [set.id, step.id, step.chains, figures, verdict.state, words, questions, progress]
          }),
        ),
      ),
    ),
  )
}

/** Two radios of the demo and what was read of them: enough for every station, quick enough to redo. */
function smallReview(): Review {
  const { review } = demoReview()
  const kept = (setId: string) => setId === 'trek-b' || setId === 'tarnwick'
  return {
    ...review,
    sets: review.sets.filter(({ id }) => kept(id)),
    readings: review.readings.filter(({ setId }) => kept(setId)),
  }
}

type Edit = (review: Review) => Review

const at = <T>(items: readonly T[], index: number, change: (item: T) => T): T[] =>
  items.map((item, i) => (i === index % items.length ? change(item) : item))

const changed = (instrument: Instrument, by: number): Instrument => {
  switch (instrument.kind) {
    case 'receiver':
      return { ...instrument, ratioDb: by, deviationPercent: 2 * by, referencePpm: by }
    case 'spectrum-analyser':
      return { ...instrument, amplitudeAccuracyDb: by, flatnessDb: null, floorDbm: -95 - by }
    case 'power-meter':
    case 'ac-voltmeter':
      return { ...instrument, accuracyPercent: 1 + by }
    case 'signal-generator':
      return { ...instrument, levelAccuracyDb: by, reverseW: by / 100 }
    case 'audio-meter':
      return { ...instrument, sinadDb: by }
    case 'antenna-analyser':
      return { ...instrument, directivityDb: 20 + by }
  }
}

const number = fc.double({ min: 0.1, max: 9, noNaN: true })
const index = fc.nat(40)

/** Edits of every part of a review that anything may hang on. */
const edits: fc.Arbitrary<Edit> = fc.oneof(
  fc.tuple(index, number).map(([i, by]): Edit => review => ({
    ...review,
    instruments: at(review.instruments, i, one => changed(one, by)),
  })),
  fc.tuple(index, number).map(([i, by]): Edit => review => ({
    ...review,
    chains: at(review.chains, i, chain => ({
      ...chain,
      name: `${chain.name}’`,
      offsetOnInstrumentDb: by,
      parts: at(chain.parts, i, part => ({ ...part, vswr: 1 + by / 10 })),
    })),
  })),
  fc.tuple(index, number).map(([i, by]): Edit => review => ({
    ...review,
    readings: at(review.readings, 7 * i, reading => ({
      ...reading,
      id: `${reading.id}’`,
      seen:
        reading.seen.as === 'level'
          ? { ...reading.seen, levelDbm: reading.seen.levelDbm - by }
          : { ...reading.seen, value: reading.seen.value * (1 + by / 100) },
    })),
  })),
  index.map((i): Edit => review => ({
    ...review,
    readings: review.readings.filter((_one, j) => j !== (11 * i) % 120),
  })),
  fc
    .constantFrom('us-amateur', 'eu-land-mobile', 'itu-spurious', 'us-cb')
    .map((id): Edit => review => ({ ...review, settings: { ...review.settings, rulebookIds: [id] } })),
  fc.tuple(index, number).map(([i, powerW]): Edit => review => ({
    ...review,
    sets: at(review.sets, i, set => ({
      ...set,
      bands: at(set.bands, i, band => ({ ...band, claims: { high: { kind: 'watts', powerW } } })),
    })),
  })),
  index.map((i): Edit => review => ({
    ...review,
    sets: at(review.sets, i, set => ({
      ...set,
      chains: { harmonics: { instrument: review.chains[i % review.chains.length]!.id } },
    })),
  })),
  index.map((i): Edit => review => {
    const reading = review.readings[(13 * i) % review.readings.length]!
    const { setId, stepId, at: when } = reading
    return { ...review, skipped: [...review.skipped, { setId, stepId, reason: 'why', at: when }] }
  }),
  fc.constant((review: Review): Review => ({ ...review, padTests: [] })),
  fc.constant((review: Review): Review => ({
    ...review,
    calibrations: review.calibrations.map(one => ({
      ...one,
      points: one.points.map(point => ({ ...point, withPartDbm: point.withPartDbm - 1 })),
    })),
  })),
  fc.constant((review: Review): Review => ({
    ...review,
    memos: {
      ...review.memos,
      stress: { common: null, bySet: { tarnwick: { by: 'x', at: review.createdAt } } },
    },
  })),
)

describe('results that are used again', () => {
  // Three times ten lists of edits rather than thirty at once: one alone came near the runner's own limit of 20 s.
  it.each([20261126, 20261127, 20261128])('are what working it all out afresh gives (seed %i)', seed => {
    const start = smallReview()
    fc.assert(
      fc.property(fc.array(edits, { minLength: 2, maxLength: 5 }), list => {
        const shared = createSharedWork()
        let review = start
        judged(review, shared)
        for (const edit of list) {
          review = edit(review)
          expect(judged(review, shared)).toEqual(judged(review, createSharedWork()))
        }
        expect(judged(start, shared)).toEqual(judged(start, createSharedWork()))
      }),
      { numRuns: rounds({ quick: 3, all: 10 }), seed },
    )
  })

  it('an edit of the receiver’s ratio reaches the adjacent channels read with it', () => {
    const { review } = demoReview()
    const shared = createSharedWork()
    const rangeOf = (state: Review) => {
      const context = createContext(state, shared)
      const station = stations.find(({ id }) => id === 'bandwidth')!
      const set = state.sets.find(({ id }) => id === 'trek-a')!
      const result = station.evaluate(station.plan(set, context)[0]!, context)
      return result.slots.find(({ slot }) => slot.id === 'acp-lower-1')!.found!.budget.range
    }
    const before = rangeOf(review)
    const worse = {
      ...review,
      instruments: review.instruments.map(one => (one.kind === 'receiver' ? { ...one, ratioDb: 5 } : one)),
    }
    // Rectangular ±0.5 dB, then ±5 dB: 95 % of either, with the little the recording leaves open.
    expect(before).toBeCloseTo(0.48, 1)
    expect(rangeOf(worse)).toBeCloseTo(4.75, 1)
  })
})
