import { describe, expect, it } from 'vitest'
import { newReceiver } from '#core/chain'
import type { SeenLevel } from '#core/review'
import {
  correctApplied,
  correctReading,
  type CorrectedThrough,
  type FoundLevel,
  isCorrected,
  roughlyDbm,
  withMore,
} from '#core/step'
import { contribution } from '#core/uncertainty'
import { analyser, type BenchInput, harmonic, pad, reviewOf, withReadings } from '../../support/bench'
import { plain } from '../../support/results'

/** An instrument without noise and a pad of 6 dB that is exact. */
const QUIET: BenchInput = { instrument: { ...newReceiver('an'), vswr: 1, assumed: false }, parts: [pad(6)] }

function found(
  seen: Partial<SeenLevel>,
  bench: BenchInput = QUIET,
  through: CorrectedThrough = {},
): FoundLevel {
  const reading = harmonic(1, '-40', { seen })
  const answer = correctReading(reading, withReadings(reviewOf(bench), [reading]), through)
  if (!isCorrected(answer)) throw new Error(answer.why)
  return answer
}
const lineOf = ({ budget }: FoundLevel, id: string) => budget.contributions.find(one => one.id === id)
const line = (id: string, halfWidth: number) =>
  contribution({ id, group: 'part', label: id, distribution: 'rectangular', halfWidth })

describe('a level taken to the socket', () => {
  it('takes off what is typed as an offset on the instrument, and says so', () => {
    const offset = found({}, { ...QUIET, chain: { offsetOnInstrumentDb: 20 } })
    expect(offset.value).toBeCloseTo(-40 - 20 + 6, 9)
    expect(plain(offset.notes.join(' '))).toContain('The instrument adds +20.00 dB; taken off again.')
    expect(found({}).notes.join(' ')).not.toContain('taken off again')
    const negative = found({}, { ...QUIET, chain: { offsetOnInstrumentDb: -20 } })
    expect(negative.value).toBeCloseTo(-14, 9)
  })

  it('says how it went: at the instrument, the loss, which way', () => {
    expect(found({}).path).toMatchObject({ lossDb: 6, signal: 'from-radio' })
    expect(found({}).path.atInstrumentDbm).toBeCloseTo(-40, 9)
    expect(found({}, QUIET, { signal: 'to-radio' }).value).toBeCloseTo(-46, 9)
  })

  it('of several readings carries their scatter: s over √n', () => {
    const repeated = found({ repeatsDbm: [-40.3, -40, -39.7] })
    // s = 0.3 dB of three: 0.173 dB, two degrees of freedom.
    expect(lineOf(repeated, 'repeats')!.standardUncertainty).toBeCloseTo(0.3 / Math.sqrt(3), 6)
    expect(lineOf(repeated, 'repeats')!.degreesOfFreedom).toBe(2)
    expect(repeated.notes).toContain('Mean of 3 readings.')
    expect(lineOf(found({ repeatsDbm: [-40] }), 'repeats')).toBeUndefined()
    expect(found({ repeatsDbm: [-40] }).notes).toEqual([])
  })

  it('between two points of a trace reads low by a third of the most it can, on average', () => {
    // A Gaussian filter is 3.01 dB down at half its bandwidth (common practice, no source).
    const seen = (stepHz: number) =>
      found({ doubt: { kind: 'stepped-trace', stepHz, resolutionBandwidthHz: 1000 } as SeenLevel['doubt'] })
    const most = 3.0103
    expect(lineOf(seen(1000), 'steps')).toMatchObject({ halfWidth: expect.closeTo(most, 3), group: 'steps' })
    expect(seen(1000).path.atInstrumentDbm).toBeCloseTo(-40 + most / 3, 3)
    expect(plain(seen(1000).notes.join(' '))).toContain(
      'up to 3.01 dB low; the mean of that, 1.00 dB, is added',
    )
    expect(seen(100).notes.join(' ')).not.toContain('between two points')
  })

  it('of a trace that contradicts itself takes the middle, and leaves the rest open', () => {
    const apart = found({ sweeps: { levels: 3, spreadDb: 2 } })
    expect(apart.path.atInstrumentDbm).toBeCloseTo(-41, 9)
    // d2 of three is 1.693: s = 1.181 dB, of their mean 0.682 dB; ISO 7870-2 (from memory).
    const own = lineOf(apart, 'sweeps')!
    expect(own).toMatchObject({ degreesOfFreedom: 2, distribution: 'student-t' })
    expect(own.halfWidth).toBeCloseTo((2 * 2) / 1.693 / Math.sqrt(3), 6)
    expect(plain(apart.notes.join(' '))).toContain('says 3 different things of this frequency, 2.0 dB apart')
    // More than the table knows count as ten.
    const many = lineOf(found({ sweeps: { levels: 40, spreadDb: 2 } }), 'sweeps')!
    expect(many).toMatchObject({ degreesOfFreedom: 9 })
    expect(many.halfWidth).toBeCloseTo((2 * 2) / 3.078 / Math.sqrt(10), 6)
    expect(lineOf(found({ sweeps: { levels: 2, spreadDb: 0 } }), 'sweeps')).toBeUndefined()
  })

  it('says what is assumed of its instrument', () => {
    const assumed = { ...QUIET.instrument!, assumed: true, name: 'Rx' } as NonNullable<
      BenchInput['instrument']
    >
    expect(found({}, { ...QUIET, instrument: assumed }).notes.join(' ')).toContain(
      'is assumed, not stated by anybody',
    )
    expect(found({}).notes.join(' ')).not.toContain('assumed')
  })

  it('takes what is known besides off, with its lines and notes', () => {
    const also = { correctionDb: 0.5, lines: [line('more', 0.3)], notes: ['more is known'] }
    const more = found({}, QUIET, { also })
    expect(more.value).toBeCloseTo(-34.5, 9)
    expect(lineOf(more, 'more')!.halfWidth).toBe(0.3)
    expect(more.notes).toContain('more is known')
    // Two askers do not share an answer.
    expect(found({}).value).toBeCloseTo(-34, 9)
  })

  it('can be given more afterwards: the value moves, the budget is made anew', () => {
    const before = found({ resolutionDb: 0.1 })
    const context = withReadings(reviewOf(QUIET), [])
    const after = withMore(before, { correctionDb: 1, lines: [line('more', 0.3)], notes: ['x'] }, context)
    expect(after.value).toBeCloseTo(before.value - 1, 9)
    expect(after.path.atInstrumentDbm).toBeCloseTo(before.path.atInstrumentDbm - 1, 9)
    expect(after.budget.standardUncertainty).toBeCloseTo(
      Math.hypot(before.budget.standardUncertainty, 0.3 / Math.sqrt(3)),
      9,
    )
    expect(after.notes).toEqual([...before.notes, 'x'])
    expect(withMore(before, { lines: [] }, context).value).toBeCloseTo(before.value, 9)
  })

  it('cannot be taken anywhere without its chain or its instrument', () => {
    const reading = harmonic(1, '-40', { chainId: 'gone' })
    const context = withReadings(reviewOf(QUIET), [reading])
    expect(correctReading(reading, context)).toMatchObject({
      why: expect.stringContaining('no longer on the bench'),
    })
    expect(roughlyDbm(reading, context)).toBeNull()
    const bare = withReadings({ ...reviewOf(QUIET), instruments: [] }, [])
    expect(correctReading(harmonic(1, '-40'), bare)).toMatchObject({
      why: expect.stringContaining('has no instrument'),
    })
    expect(roughlyDbm(harmonic(1, '-40'), bare)).toBeNull()
  })

  it('roughly is display, offset and loss alone', () => {
    const context = withReadings(reviewOf({ ...QUIET, chain: { offsetOnInstrumentDb: 20 } }), [])
    expect(roughlyDbm(harmonic(1, '-40'), context)).toBeCloseTo(-54, 9)
  })

  it('of a generator is what it was set to, less the loss; nothing where none was in play', () => {
    const seen = { ...harmonic(1, '-100').seen }
    const reading = { ...harmonic(1, '-40'), applied: { instrument: seen } }
    const context = withReadings(reviewOf(QUIET), [reading])
    expect(correctApplied(reading, 'instrument', context)).toMatchObject({ value: expect.closeTo(-106, 6) })
    expect(correctApplied(reading, 'gen2', context)).toBeNull()
  })
})

describe('noise under a level shown as mean power', () => {
  const at = (aboveDb: number, floorDoubtDb = 0) =>
    found({ levelDbm: -100 + aboveDb }, { instrument: analyser({ floorDoubtDb }), parts: [pad(6)] })

  it('is taken off as a power; within 3 dB the level is only a bound', () => {
    // 10·log10(1 − 10^(−a/10)): 0.46 dB at 10 dB, 2.20 dB at 4 dB.
    expect(at(10).path.atInstrumentDbm).toBeCloseTo(-90 + 10 * Math.log10(1 - 0.1), 3)
    expect(plain(at(9).notes.join(' '))).toContain(
      'Stands 9.0 dB above the noise; 0.58 dB of noise taken off',
    )
    expect(at(4).path.atInstrumentDbm).toBeCloseTo(-96 + 10 * Math.log10(1 - 10 ** -0.4), 3)
    expect(at(4).isUpperBound).toBe(false)
    expect(at(2.9)).toMatchObject({ isUpperBound: true })
    expect(plain(at(2.9).notes.join(' '))).toContain('Within 3 dB of the noise at −100 dBm')
    expect(at(40).notes).toEqual([])
  })

  it('hangs on how well the floor is known', () => {
    const known = at(6).budget.range
    expect(at(6, 1).budget.range).toBeGreaterThan(known + 0.05)
    expect(at(30, 1).budget.range).toBeCloseTo(at(30).budget.range, 2)
  })
})
