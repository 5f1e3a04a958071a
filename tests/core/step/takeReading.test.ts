import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { newReceiver } from '#core/chain'
import { parseLevel } from '#core/quantity'
import type { Review } from '#core/review'
import { stationById } from '#core/station'
import { bareUnitOf, seenFigure, seenLevel, seenMark, type Step, takeReading } from '#core/step'
import { analyser, harmonic, HARMONICS_STEP, meter, reviewOf } from '../../support/bench'
import { landMobile } from '../../support/stations'

const STAMP = { id: 'new', at: '2026-11-21T09:30:00.000Z' }

function firstStep(
  stationId: string,
  review: Review,
): { step: Step; context: ReturnType<typeof createContext> } {
  const context = createContext(review)
  return { step: stationById(stationId).plan(review.sets[0]!, context)[0]!, context }
}

function level(levelDbm: number, frequencyHz = 146.52e6) {
  const read = parseLevel(`${levelDbm} dBm`, { bareUnit: 'dBm' })
  if (!read.ok) throw new Error(read.message)
  return seenLevel(read, { frequencyHz })
}

describe('a reading that is kept', () => {
  const review = reviewOf({ chain: { revision: 4 }, settings: { ambientC: 21 } })

  it('says where it belongs, with what and through what it was read, and under what', () => {
    const { step, context } = firstStep('harmonics', { ...review, reviewer: 'A. Tester' })
    const kept = takeReading(
      step,
      { slotId: 'x3', text: '-71.5', seen: level(-71.5, 439.56e6) },
      STAMP,
      context,
    )
    expect(kept).toEqual({
      ...STAMP,
      setId: 'set',
      stationId: 'harmonics',
      stepId: HARMONICS_STEP,
      slot: 'x3',
      text: '-71.5',
      seen: level(-71.5, 439.56e6),
      instrumentId: 'an',
      through: { instrument: { chainId: 'ch', chainRevision: 4, calibrationIds: {} } },
      applied: {},
      supply: review.sets[0]!.supplyNow,
      ambientC: 21,
      who: 'A. Tester',
      source: { kind: 'typed' },
      supersedes: null,
    })
  })

  it('stands in the place of the one that stood in its slot, and of no other', () => {
    const before = harmonic(3, '-70')
    const { step, context } = firstStep('harmonics', { ...review, readings: [harmonic(3, '-60'), before] })
    const of = (slotId: string) => takeReading(step, { slotId, text: '', seen: level(-71) }, STAMP, context)
    expect(of('x3')?.supersedes).toBe(before.id)
    expect(of('x4')?.supersedes).toBeNull()
  })

  it('keeps where it came from where that is not the keyboard', () => {
    const { step, context } = firstStep('harmonics', review)
    const source = { kind: 'file' as const, fileName: 'sweep.csv', sha256: 'f'.repeat(64), traceId: 't1' }
    const kept = { slotId: 'x2', text: '', seen: level(-60), source }
    expect(takeReading(step, kept, STAMP, context)?.source).toBe(source)
  })

  it('is none where a level has no chain to come through', () => {
    const { step, context } = firstStep('harmonics', review)
    const cut = { ...step, chains: { instrument: null } } as unknown as Step
    expect(takeReading(cut, { slotId: 'x3', text: '', seen: level(-71) }, STAMP, context)).toBeNull()
    const played = { slotId: 'x3', text: '', seen: level(-71), applied: { generator: level(-100) } }
    expect(takeReading(step, played, STAMP, context)).toBeNull()
  })
})

describe('a figure that is kept', () => {
  const hertz = seenFigure({ value: 120, unit: 'Hz', resolution: 1 })

  it('is read with what its chain ends in, without the calibrations of a level', () => {
    const { step, context } = firstStep('frequency', landMobile())
    const kept = takeReading(step, { slotId: step.slots[0]!.id, text: '120', seen: hertz }, STAMP, context)
    expect(kept?.instrumentId).toBe('an')
    expect(kept?.through).toEqual({ instrument: { chainId: 'ch', chainRevision: 1, calibrationIds: {} } })
  })

  it.each([
    ['one receiver', [newReceiver('rx')], 'rx'],
    ['a receiver beside an analyser', [newReceiver('rx'), analyser()], 'rx'],
    ['an analyser alone', [analyser()], 'an'],
    ['two receivers: nobody can tell which', [newReceiver('rx'), newReceiver('rx2')], null],
    ['nothing but a power meter', [], null],
  ])('of a signal is not read with a power meter; on a bench with %s', (_words, others, instrumentId) => {
    const base = landMobile()
    const review = {
      ...base,
      instruments: [meter(), ...others],
      chains: base.chains.map(chain => ({ ...chain, instrumentId: 'pm' })),
    }
    const { context } = firstStep('frequency', review)
    const { step } = firstStep('frequency', base)
    const kept = takeReading(step, { slotId: step.slots[0]!.id, text: '120', seen: hertz }, STAMP, context)
    expect(kept?.instrumentId).toBe(instrumentId)
    expect(kept?.through).toEqual({})
  })

  it('that is done or not is 1 or 0', () => {
    expect([seenMark(true).value, seenMark(false).value, seenMark(true).unit]).toEqual([1, 0, 'mark'])
  })
})

describe('a bare number', () => {
  it('is watts at a power meter and dBm at an analyser', () => {
    const at = (instrument: Review['instruments'][number], stationId: string) => {
      const { step, context } = firstStep(stationId, reviewOf({ instrument }))
      return bareUnitOf(step, context)
    }
    expect(at(meter(), 'carrier-power')).toBe('W')
    expect(at(analyser(), 'harmonics')).toBe('dBm')
  })

  it('is dBm where a step has no chain at all, and watts where its chain has gone', () => {
    const { step, context } = firstStep('harmonics', reviewOf())
    expect(bareUnitOf({ ...step, chains: {} } as Step, context)).toBe('dBm')
    expect(bareUnitOf({ ...step, chains: { instrument: 'gone' } } as Step, context)).toBe('W')
  })
})
