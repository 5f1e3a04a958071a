import { describe, expect, it } from 'vitest'
import {
  antennaLines,
  figureIn,
  foundFigure,
  levelIn,
  notCorrected,
  observedFigure,
  openSlot,
  rangeWords,
  ratioDoubt,
  readWords,
  valueWords,
} from '#core/judging'
import { type Instrument, newReceiver } from '#core/chain'
import type { FigureUnit } from '#core/quantity'
import type { SeenFigure } from '#core/review'
import type { Found } from '#core/step'
import { analyser, figure, harmonic, meter, reviewOf, withReadings } from '../../support/bench'
import { plain, slotOfId, someStep, verdictOf } from '../../support/results'
import { landMobile } from '../../support/stations'

const context = withReadings(landMobile(), [])
const seen = (value: number, unit: FigureUnit, change: Partial<SeenFigure> = {}) =>
  figure(value, { slot: 'tone', stepId: 'deviation:band:c1:high', unit, seen: { resolution: 0, ...change } })
const OWN = {
  id: 'own',
  group: 'instrument' as const,
  label: 'own',
  distribution: 'rectangular' as const,
  halfWidth: 3,
}

describe('a figure and what it leaves open', () => {
  it('has a line for its last digit, its estimate and what can only add, each as wide as it is', () => {
    const found = foundFigure(
      seen(2500, 'Hz', { resolution: 10, standardUncertainty: 7, noiseAdds: 40 }),
      { own: [OWN] },
      context,
    )
    expect(
      found.budget.contributions.map(({ id, group, halfWidth, distribution }) => [
        id,
        group,
        halfWidth,
        distribution,
      ]),
    ).toEqual([
      ['own', 'instrument', 3, 'rectangular'],
      ['resolution', 'resolution', 5, 'rectangular'],
      ['estimate', 'estimate', 14, 'normal'],
      ['noise', 'estimate', 20, 'rectangular'],
    ])
    // It stands in the middle of what was added.
    expect(found).toMatchObject({ value: 2480, unit: 'Hz', isUpperBound: false, path: null, notes: [] })
    expect(found.budget.unit).toBe('Hz')
    // Variances: 3²/3 + 5²/3 + 7² + 20²/3.
    expect(found.budget.standardUncertainty).toBeCloseTo(Math.sqrt((9 + 25 + 400) / 3 + 49), 6)
  })

  it('has no line for what leaves nothing open, and is judged by the figure that is given instead', () => {
    const found = foundFigure(
      seen(154_000_120, 'Hz', { isUpperBound: true }),
      { own: [], value: 120 },
      context,
    )
    expect(found.budget.contributions).toEqual([])
    expect(found).toMatchObject({ value: 120, isUpperBound: true })
  })

  it('is only shown where it is observed, with how it was come by', () => {
    const reading = seen(13, 'dB', { method: 'By ear.' })
    const slot = slotOfId('tone')
    const shown = observedFigure(slot, reading, { words: '13 dB', notes: ['note'], own: [OWN] }, context)
    expect(shown).toMatchObject({
      state: 'read',
      words: '13 dB',
      notes: ['note', 'By ear.'],
      verdict: { state: 'observation' },
    })
    expect(shown.found!.budget.contributions.map(({ id }) => id)).toEqual(['own'])
    const plain = observedFigure(slot, seen(13, 'dB'), { words: 'x' }, context)
    expect(plain.notes).toEqual([])
    expect(plain.found!.budget.contributions).toEqual([])
    expect(notCorrected(slot, reading, 'no chain')).toMatchObject({
      notes: ['no chain'],
      words: 'Not covered',
      verdict: { why: 'no chain' },
    })
  })
})

describe('what stands in a slot', () => {
  it('is a level or a figure, and never taken for the other', () => {
    const step = someStep('harmonics')
    const level = harmonic(2, '-60', { stepId: step.id })
    const asFigure = figure(1, { slot: 'x3', stepId: step.id, unit: 'dB' })
    const both = withReadings(landMobile(), [level, asFigure])
    const [x2, x3] = [slotOfId('x2'), slotOfId('x3')]
    expect(levelIn(step, x2, both)).toMatchObject({ text: '-60' })
    expect(figureIn(step, x2, both)).toBeNull()
    expect(levelIn(step, x3, both)).toBeNull()
    expect(figureIn(step, x3, both)).toMatchObject({ text: '1' })
    expect(levelIn(step, slotOfId('x4'), both)).toBeNull()
  })

  it('open, it is not measured; left out, it says why', () => {
    const step = someStep()
    const slot = step.slots[0]!
    expect(openSlot(step, slot, context)).toMatchObject({
      state: 'open',
      words: 'Not measured',
      notes: [],
      each: [],
    })
    const skipping = { ...context, skipReason: () => 'no time' } as unknown as typeof context
    expect(openSlot(step, slot, skipping)).toMatchObject({
      state: 'left-out',
      words: 'Left out',
      verdict: { why: 'Left out: no time' },
    })
  })
})

describe('how well a ratio of powers is known', () => {
  const doubt = (instrument: Instrument) =>
    ratioDoubt(
      figure(-60, { slot: 'x', stepId: 's:band:c1:high', unit: 'dB' }),
      withReadings(reviewOf({ instrument }), []),
    )[0]!
  it('by a receiver that says, by an analyser’s flatness or else its accuracy, else 1 dB assumed', () => {
    expect(doubt({ ...newReceiver('an'), name: 'Rx', ratioDb: 0.3, assumed: false })).toMatchObject({
      id: 'ratio:an',
      halfWidth: 0.3,
      assumed: false,
      label: 'Rx, ratio of powers',
      distribution: 'rectangular',
      group: 'reference',
    })
    expect(doubt(analyser({ flatnessDb: 0.4 }))).toMatchObject({ halfWidth: 0.4, assumed: false })
    expect(doubt(analyser({ flatnessDb: null, amplitudeAccuracyDb: 1.5 }))).toMatchObject({ halfWidth: 1.5 })
    expect(doubt(analyser({ flatnessDb: 0.4, assumed: true }))).toMatchObject({ assumed: true })
    expect(doubt(meter())).toMatchObject({
      id: 'ratio:none',
      halfWidth: 1,
      assumed: true,
      label: 'Receiver or analyser not known, ratio of powers',
    })
    const gone = ratioDoubt(
      figure(-60, { slot: 'x', stepId: 's', unit: 'dB', instrumentId: 'gone' }),
      context,
    )[0]!
    expect(gone).toMatchObject({ id: 'ratio:none', halfWidth: 1, assumed: true })
  })
})

describe('what an antenna’s gain leaves open', () => {
  it('counts where radiated power is ruled, ±2 dB where nobody says', () => {
    expect(antennaLines({ basis: 'erp' }, { antennaGainDoubtDb: null })[0]).toMatchObject({
      halfWidth: 2,
      assumed: true,
      group: 'antenna',
      distribution: 'rectangular',
    })
    expect(antennaLines({ basis: 'erp' }, { antennaGainDoubtDb: 0.5 })[0]).toMatchObject({
      halfWidth: 0.5,
      assumed: false,
    })
    expect(antennaLines({ basis: 'conducted' }, { antennaGainDoubtDb: null })).toEqual([])
  })
})

describe('figures in words', () => {
  const found = (value: number, unit: string, change: Partial<Found> = {}) => ({
    found: { value, unit, isUpperBound: false, path: null, ...change } as unknown as Found,
  })
  const toRadio = { path: { signal: 'to-radio' } } as unknown as Partial<Found>
  const fromRadio = { path: { signal: 'from-radio' } } as unknown as Partial<Found>
  it.each([
    [{ found: null }, '–'],
    [found(1, 'mark'), 'done'],
    [found(0, 'mark'), 'not done'],
    [found(2500, 'Hz'), '2.500 kHz'],
    [found(12.34, 'dB'), '12.3 dB'],
    [found(-12.34, 'dBm'), '−12.3 dBm'],
    [found(21.4, '°C'), '21 °C'],
    [found(1.234, 'V'), '1.23 V'],
    [found(2500, 'Hz', { isUpperBound: true }), 'at most 2.500 kHz'],
    [found(-119, 'dBm', toRadio), '−119.0 dBm'],
    [found(-119, 'dBm', { ...toRadio, isUpperBound: true }), 'at most −119.0 dBm'],
    [found(30, 'dBm', fromRadio), '1.00 W'],
    [found(30, 'dBm', { ...fromRadio, isUpperBound: true }), '< 1.00 W'],
  ])('%o is “%s”', (given, words) => expect(plain(valueWords(given))).toBe(words))

  it('with the level a generator stood at', () => {
    const applied = { gen: { value: -120.44, unit: 'dBm' } } as unknown as Parameters<
      typeof readWords
    >[0]['applied']
    expect(plain(readWords({ text: '13.4', applied }))).toBe('13.4 at −120.4 dBm')
    expect(readWords({ text: '13.4', applied: {} })).toBe('13.4')
  })

  it('with a range, or a dash where only the last digit of something seen is open', () => {
    const digit = foundFigure(seen(2500, 'Hz', { resolution: 10 }), { own: [] }, context)
    const more = foundFigure(seen(2500, 'Hz', { resolution: 10 }), { own: [OWN] }, context)
    const none = foundFigure(seen(2500, 'Hz'), { own: [] }, context)
    const state = (one: 'observation' | 'inside') => verdictOf(one, 1)
    expect(rangeWords({ found: null, verdict: state('inside') })).toBe('–')
    expect(rangeWords({ found: none, verdict: state('inside') })).toBe('–')
    expect(rangeWords({ found: digit, verdict: state('observation') })).toBe('–')
    expect(rangeWords({ found: digit, verdict: state('inside') })).toContain('±')
    expect(rangeWords({ found: more, verdict: state('observation') })).toContain('±')
  })
})
