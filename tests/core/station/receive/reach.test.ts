import { describe, expect, it } from 'vitest'
import type { Reading, Review } from '#core/review'
import { REACH_ID, stationById } from '#core/station'
import { figure, radio, reviewOf, withReadings } from '../../../support/bench'
import { plain } from '../../../support/results'

const signals = ['tower', 'fell', 'isle'].map(id => ({ id, who: id, where: `${id} hill` }))

function bench(): Review {
  const review = reviewOf()
  const control = radio({ id: 'control', role: 'control', make: 'Corriemoor', model: 'C1', sample: '' })
  return {
    ...review,
    sets: [...review.sets, control],
    memos: { [REACH_ID]: { common: { place: 'at the gate', signals }, bySet: {} } },
  }
}

const heard = (setId: string, signalId: string, howWell: number): Reading => ({
  ...figure(howWell, { slot: `signal-${signalId}`, stepId: REACH_ID, stationId: REACH_ID, unit: 'of 3' }),
  setId,
})

function results(readings: Reading[], review = bench()) {
  const context = withReadings(review, readings)
  const station = stationById(REACH_ID)
  const set = context.review.sets[0]!
  const [step] = station.plan(set, context)
  const result = station.evaluate(step!, context)
  return {
    result,
    slot: (id: string) => result.slots.find(one => one.slot.id === id)!,
    answer: station.answer(station.questions([set], context)[0]!, set, context),
  }
}

describe('off-air reception', () => {
  it('asks every radio about the same signals, and counts those that were heard', () => {
    const { result, slot, answer } = results([
      heard('set', 'tower', 3),
      heard('set', 'fell', 1),
      heard('set', 'isle', 0),
    ])
    expect(slot('signal-tower').slot.label).toBe('tower, tower hill')
    expect(['signal-tower', 'signal-fell', 'signal-isle'].map(id => slot(id).words)).toEqual([
      ...['without noise', 'heard, hardly readable', 'not heard'],
    ])
    expect(result.words).toBe('Heard 2 of 3')
    expect(answer.words).toBe('Heard 2 of 3')
  })

  it('sets it beside the control radio, only where both were asked', () => {
    const own = [heard('set', 'tower', 2), heard('set', 'fell', 1), heard('set', 'isle', 3)]
    const control = [heard('control', 'tower', 3), heard('control', 'isle', 2)]
    expect(plain(results([...own, ...control]).slot('against-control').words)).toBe(
      'Of 2: 1 worse, 1 better than C1',
    )
    expect(results(own).slot('against-control').state).toBe('open')
    const alone = { ...bench(), sets: bench().sets.slice(0, 1) }
    expect(results(own, alone).slot('against-control').verdict.why).toContain('no control radio')
  })

  it('has signals to begin with before anybody names them', () => {
    const bare = { ...bench(), memos: {} }
    expect(results([], bare).result.slots.filter(({ slot }) => slot.kind.is === 'signal')).toHaveLength(3)
  })

  it('is an observation', () => {
    const { result } = results([heard('set', 'tower', 2), heard('control', 'tower', 3)])
    expect(
      new Set(result.slots.filter(({ state }) => state === 'read').map(({ verdict }) => verdict.state)),
    ).toEqual(new Set(['observation']))
  })
})
