import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { type ClipHead, removeSet, type Review } from '#core/review'
import { BY_EAR_ID, type BlindRound, stationById } from '#core/station'
import { chanceOfSplit } from '#core/station/receive/by-ear/blind'
import { radio, reviewOf } from '../../../support/bench'
import { plain } from '../../../support/results'

const AT = '2026-11-27T10:00:00.000Z'

const clip = (setId: string, given: Partial<ClipHead> = {}): ClipHead => ({
  ...{
    id: `clip-${setId}`,
    setId,
    stepId: BY_EAR_ID,
    name: 'take 1.wav',
    words: 'one to ten',
    sounds: 'heard',
  },
  ...{ sampleRateHz: 8000, seconds: 4, bytes: 64_044, loudnessLufs: -20, at: AT, who: 'A' },
  ...given,
})

const round = (otherSetId: string, choice: BlindRound['choice'], who = 'A'): BlindRound => ({
  ...{ id: `${otherSetId}-${choice}-${who}-${Math.random()}`, at: AT, who, otherSetId },
  ...{ clipId: 'a', otherClipId: 'b', first: 'this', choice },
})

function bench(rounds: Record<string, BlindRound[]> = {}, clips = [clip('set'), clip('control')]): Review {
  const review = reviewOf()
  const control = radio({ id: 'control', role: 'control', make: 'Corriemoor', model: 'C1', sample: '' })
  const bySet = Object.fromEntries(Object.entries(rounds).map(([id, own]) => [id, { rounds: own }]))
  return {
    ...review,
    sets: [...review.sets, control],
    clips,
    memos: { [BY_EAR_ID]: { common: null, bySet } },
  }
}

function heard(review: Review, setId = 'set') {
  const context = createContext(review)
  const station = stationById(BY_EAR_ID)
  const set = review.sets.find(({ id }) => id === setId)!
  const [step] = station.plan(set, context)
  const result = station.evaluate(step!, context)
  return {
    result,
    slot: (id: string) => result.slots.find(one => one.slot.id === id)!,
    answer: station.answer(station.questions([set], context)[0]!, set, context),
  }
}

const times = (count: number, make: () => BlindRound) => Array.from({ length: count }, make)

describe('the chance that guessing divides choices so', () => {
  // Sums of binomial coefficients over 2ⁿ, by hand.
  it.each([
    [0, 0, 1],
    [1, 0, 1],
    [3, 3, 1],
    [0, 5, 2 / 32],
    [5, 1, (2 * (1 + 6)) / 64],
    [6, 0, 2 / 64],
    [8, 2, (2 * (1 + 10 + 45)) / 1024],
  ])('%i to %i', (one, other, chance) => {
    expect(chanceOfSplit(one, other)).toBeCloseTo(chance, 12)
    expect(chanceOfSplit(other, one)).toBeCloseTo(chance, 12)
  })
})

describe('by ear', () => {
  it('counts rounds kept with either radio, seen from each', () => {
    const review = bench({
      set: [round('control', 'other'), round('control', 'other'), round('control', 'same')],
      control: [round('set', 'this', 'B'), round('set', 'other', 'B')],
    })
    const own = heard(review).slot('against-control')
    expect(plain(own.words)).toBe('preferred in 1 of 5, no difference in 1')
    expect(own.notes.join(' ')).toContain('2 listeners')
    expect(plain(heard(review, 'control').slot('against-set').words)).toBe(
      'preferred in 3 of 5, no difference in 1',
    )
  })

  it('says when guessing would do as well: five of five may be chance, six of six hardly', () => {
    const notes = (count: number) =>
      heard(bench({ set: times(count, () => round('control', 'this')) })).slot('against-control').notes[1]!
    expect(plain(notes(5))).toContain('6.3 % of cases: this says little')
    expect(plain(notes(6))).toContain('in only 3.1 %')
  })

  it('is an observation that names the radio it was set against', () => {
    const { result, answer } = heard(bench({ set: [round('control', 'this')] }))
    expect(result.verdict.state).toBe('observation')
    expect(plain(result.words)).toBe('Against C1: preferred, once')
    expect(answer.words).toBe(result.words)
  })

  it('asks for a clip, and sets nobody against a radio without one', () => {
    const { slot, result, answer } = heard(bench({}, []))
    expect(slot('clips').words).toBe('No clip yet')
    expect(result.slots.filter(one => one.slot.kind.is === 'blind')).toEqual([])
    expect(answer.gap).toBe('open')
    const alone = heard(bench({}, [clip('set')]))
    expect(plain(alone.slot('clips').words)).toBe('1 clip, 4 s')
    expect(heard(bench({}, [clip('set')]), 'control').slot('against-set').state).toBe('open')
  })

  it('says of each clip what it lets hear, for how long, and how loud it is', () => {
    const [loud, soft] = heard(
      bench({}, [clip('set'), clip('set', { id: 'two', sounds: 'sent', words: '', loudnessLufs: null })]),
    ).slot('clips').notes
    expect(loud).toBe('What it hears: one to ten, 4.0 s, −20.0 LUFS.')
    expect(soft).toBe('How it sounds on the air: take 1.wav, 4.0 s, too soft to say how loud.')
  })

  it('rounds that no listener can have had are no rounds', () => {
    const review = bench({ set: [{ ...round('control', 'this'), choice: 'both' as never }] })
    expect(heard(review).slot('against-control').state).toBe('open')
  })

  it('goes with its radio', () => {
    const review = structuredClone(bench({ control: [round('set', 'this')] }))
    removeSet(review, 'control')
    expect(review.clips.map(({ setId }) => setId)).toEqual(['set'])
    expect(heard(review).result.slots.filter(one => one.slot.kind.is === 'blind')).toEqual([])
  })
})
