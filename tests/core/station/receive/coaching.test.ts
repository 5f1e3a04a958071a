import { describe, expect, it } from 'vitest'
import type { Reading } from '#core/review'
import { NEIGHBOUR_ID, SENSITIVITY_ID, STRONG_ID, stationById } from '#core/station'
import { resultOf, slot } from '../../../support/stations'
import {
  generator,
  hearingReview,
  pointsAround,
  sinad,
  turnedTo,
  withReadings,
} from '../../../support/hearing'
import { plain } from '../../../support/results'

const second = generator({ id: 'gen2' })
const POINTS = pointsAround(-120, [-4, -1, 1, 5])
const side = (slotId: string) =>
  turnedTo(-50, { stationId: NEIGHBOUR_ID, slot: slotId, wantedDbm: -107 }, 'gen2')

function coached(stationId: string, readings: Reading[], review = hearingReview({ second })) {
  const context = withReadings(review, readings)
  const station = stationById(stationId)
  return station.coach!(station.plan(context.review.sets[0]!, context)[0]!, context)
}

describe('where the wanted signal is to be set for a neighbour', () => {
  it('is 3 dB above the 12 dB level, in the generator’s own level behind its path', () => {
    const coach = coached(NEIGHBOUR_ID, POINTS)!
    // −120 dBm at the socket and 3 dB are −117 dBm; 10 dB of path: −107 dBm.
    expect(coach.socketDbm).toBeCloseTo(-117, 1)
    expect(coach.next).toMatchObject({ role: 'generator', levelDbm: expect.closeTo(-107, 0.5) })
    expect(coach.isDone).toBe(false)
    expect(plain(coach.words.join(' '))).toContain('3 dB above the 12 dB level of −120.0 dBm at the socket')
    expect(coach.proposed.length).toBeGreaterThan(1)
    expect(coach.proposed.every(({ levelDbm }) => levelDbm === coach.next!.levelDbm)).toBe(true)
  })

  it('wants the 12 dB level first, and goes on side by side', () => {
    expect(coached(NEIGHBOUR_ID, [])).toMatchObject({
      next: null,
      proposed: [],
      title: 'The 12 dB level first',
      isDone: false,
    })
    const first = coached(NEIGHBOUR_ID, POINTS)!.next!.slotId
    const then = coached(NEIGHBOUR_ID, [...POINTS, side(first)])!.next!.slotId
    expect(then).not.toBe(first)
    expect([first, then].every(id => id.startsWith('tia'))).toBe(true)
  })

  it('both sides in, the other school is offered; then nothing', () => {
    const done = coached(NEIGHBOUR_ID, [...POINTS, side('tia-lower'), side('tia-upper')])!
    // EN 300 086 has the wanted signal at −107 dBm at the socket: −97 dBm behind 10 dB (from memory).
    expect(done).toMatchObject({
      isDone: true,
      title: 'Both sides are in',
      next: { levelDbm: -97, slotId: expect.stringMatching(/^en-/) },
    })
    expect(done.proposed.map(({ slotId }) => slotId)).toEqual(
      expect.arrayContaining(['en-lower', 'en-upper']),
    )
    expect(done.proposed.map(({ slotId }) => slotId)).not.toContain('tia-lower')
    const all = coached(NEIGHBOUR_ID, [
      ...POINTS,
      ...['tia-lower', 'tia-upper', 'en-lower', 'en-upper'].map(side),
    ])!
    expect(all).toMatchObject({ next: null, socketDbm: null, words: ['The lower of both counts.'] })
  })

  it('has nothing to say without a generator', () => {
    const bare = { ...hearingReview({ second }), chains: [] }
    expect(coached(NEIGHBOUR_ID, POINTS, bare)).toBeNull()
    expect(coached(STRONG_ID, POINTS, bare)).toBeNull()
  })
})

describe('where the wanted signal is to be set against strong ones', () => {
  it('is the same, at the next offset that is not read', () => {
    const coach = coached(STRONG_ID, POINTS)!
    expect(coach.socketDbm).toBeCloseTo(-117, 1)
    expect(coach).toMatchObject({ isDone: false, title: expect.stringContaining('Wanted at') })
    const first = coach.next!.slotId
    const read = turnedTo(-20, { stationId: STRONG_ID, slot: first, wantedDbm: -107 }, 'gen2')
    expect(coached(STRONG_ID, [...POINTS, read])!.next!.slotId).not.toBe(first)
    expect(coach.proposed.map(({ slotId }) => slotId)).toContain(first)
    expect(coached(STRONG_ID, [])).toMatchObject({ next: null, title: 'The 12 dB level first' })
  })
})

describe('what a curve of SINAD says of itself', () => {
  const step = { stationId: SENSITIVITY_ID }

  it('names how many readings, how steep, and what is left open', () => {
    const mark = slot(resultOf(SENSITIVITY_ID, withReadings(hearingReview(), POINTS)), 'sinad-12')
    const words = plain(mark.notes.join(' '))
    expect(words).toMatch(/curve through 4 readings; it rises by \d\.\d dB per dB/)
    const leaves = Number(/leaves (\d\.\d+) dB open/.exec(words)![1])
    const own = mark.found!.budget.contributions.find(({ group }) => group === 'curve')!
    expect(leaves).toBeCloseTo(2 * own.standardUncertainty, 1)
  })

  it('asks about the point that lies off the others, and which way', () => {
    const asked = (db: number) => {
      const stray = sinad(12 + 2 * 3 + db, { ...step, slot: 'p5', wantedDbm: -120 + 3 + 10 })
      const context = withReadings(hearingReview(), [...pointsAround(-120, [-4, -1, 1, 5]), stray])
      return resultOf(SENSITIVITY_ID, context)
        .questions.map(({ words }) => plain(words))
        .join(' ')
    }
    expect(asked(0)).not.toContain('the curve of the others')
    expect(asked(6)).toMatch(/dB above the curve of the others/)
    expect(asked(-6)).toMatch(/dB below the curve of the others/)
  })
})
