import { describe, expect, it } from 'vitest'
import { unitsToBuy } from '#core/decision'
import {
  algorithmA,
  chartState,
  compareBenches,
  consensusOf,
  type ControlPoint,
  type PastFigure,
  type PastRadio,
  placeText,
  rankedBy,
} from '#core/past'

const figure = (value: number, range: number, more: Partial<PastFigure> = {}): PastFigure => ({
  key: 'k',
  title: 'Carrier power, 2 m, High, carrier',
  station: 'Carrier power',
  value,
  unit: 'dBm',
  range,
  words: `${value} dBm`,
  state: 'inside',
  margin: 1,
  isUpperBound: false,
  claimed: null,
  ...more,
})
const radio = (reviewId: string, value: number, range = 0.5, more: Partial<PastRadio> = {}): PastRadio => ({
  ...{ reviewId, reviewTitle: reviewId, setId: 's', name: reviewId },
  ...{
    make: 'Osmere',
    model: 'Trek 2',
    sample: 'A',
    firmware: '',
    price: '',
    bands: [],
    readWith: [],
    days: null,
  },
  figures: [figure(value, range)],
  ...more,
})

describe('places', () => {
  it('are ranges where figures cannot be told apart: 0.7 dB is what two of ±0.5 dB leave open', () => {
    // √(0.5² + 0.5²) = 0.707.
    const together = rankedBy([radio('a', 37), radio('b', 36.3)], 'k', 'highest')
    expect(together.map(({ place }) => placeText(place))).toEqual(['1st to 2nd', '1st to 2nd'])
    const apart = rankedBy([radio('a', 37), radio('b', 36.29)], 'k', 'highest')
    expect(apart.map(({ radio: { name }, place }) => `${name} ${placeText(place)}`)).toEqual([
      'a 1st',
      'b 2nd',
    ])
  })

  it('turn round where the lowest is best', () => {
    const [first] = rankedBy([radio('a', 37), radio('b', 33)], 'k', 'lowest')
    expect(first!.radio.name).toBe('b')
    expect(first!.place).toEqual([1, 1])
  })

  it('a figure that is only known to lie below may be the lowest of all', () => {
    const bound = radio('b', 35, 0.5, { figures: [figure(35, 0.5, { isUpperBound: true })] })
    const ranked = rankedBy([radio('a', 30), bound, radio('c', 20)], 'k', 'lowest')
    expect(ranked.find(({ radio: { name } }) => name === 'b')!.place).toEqual([1, 3])
  })

  it('are said as they are spoken', () => {
    expect([1, 2, 3, 4, 11, 12, 13, 21, 22, 112].map(n => placeText([n, n]))).toEqual([
      ...['1st', '2nd', '3rd', '4th', '11th', '12th', '13th', '21st', '22nd', '112th'],
    ])
    expect(placeText([2, 5])).toBe('2nd to 5th')
  })
})

describe('algorithm A (ISO 13528:2022, C.3.1, from memory)', () => {
  const values = [10.1, 9.8, 10.3, 9.9, 10.0, 10.2, 9.7]

  it('stands still where it says it does: drawing in by 1.5 s changes neither mean nor spread', () => {
    const { mean, spread } = algorithmA([...values, 14])
    const drawn = [...values, 14].map(value =>
      Math.min(mean + 1.5 * spread, Math.max(mean - 1.5 * spread, value)),
    )
    const again = drawn.reduce((sum, value) => sum + value, 0) / drawn.length
    expect(again).toBeCloseTo(mean, 7)
    const squares = drawn.reduce((sum, value) => sum + (value - again) ** 2, 0)
    expect(1.134 * Math.sqrt(squares / (drawn.length - 1))).toBeCloseTo(spread, 7)
  })

  it('is the plain mean of what is symmetric, and moves with what it is made of', () => {
    expect(algorithmA([1, 2, 3, 4, 5]).mean).toBeCloseTo(3, 9)
    expect(algorithmA(values.map(value => 2 * value + 5)).mean).toBeCloseTo(
      2 * algorithmA(values).mean + 5,
      6,
    )
  })

  it('is hardly moved by one that is far off, however far', () => {
    const without = algorithmA(values).mean
    expect(Math.abs(algorithmA([...values, 1e6]).mean - without)).toBeLessThan(0.15)
    expect(algorithmA([...values, 1e6]).mean).toBeCloseTo(algorithmA([...values, 100]).mean, 6)
  })

  it('agrees with the spread of a normal distribution within what a sample of 2000 allows', () => {
    // Normal quantiles at even steps, σ = 2: no chance in it.
    const probit = (p: number) => {
      // Acklam's central approximation is good to 1e-9 here; a bisection of erf keeps it apart from the code.
      let [low, high] = [-6, 6]
      for (let i = 0; i < 60; i++) {
        const middle = (low + high) / 2
        if (normal(middle) < p) low = middle
        else high = middle
      }
      return (low + high) / 2
    }
    const many = Array.from({ length: 2000 }, (_unused, i) => 2 * probit((i + 0.5) / 2000))
    const { mean, spread } = algorithmA(many)
    expect(mean).toBeCloseTo(0, 6)
    expect(spread).toBeGreaterThan(1.96)
    expect(spread).toBeLessThan(2.04)
  })

  it('wants three', () => expect(() => algorithmA([1, 2])).toThrow('Three'))
})

/** Φ by its series, for the test alone. */
function normal(x: number): number {
  let [sum, term] = [x, x]
  for (let i = 1; i < 200; i++) {
    term *= (x * x) / (2 * i + 1)
    sum += term
  }
  return 0.5 + (sum * Math.exp((-x * x) / 2)) / Math.sqrt(2 * Math.PI)
}

describe('other benches', () => {
  it('compares radios of one model only, by E_n: 2 dB apart with ±1 dB each is 1.41', () => {
    const [pair] = compareBenches([radio('us', 37, 1)], [radio('them', 35, 1)])
    expect(pair!.pairs[0]!.en).toBeCloseTo(Math.SQRT2, 6)
    expect(pair!.pairs[0]!.words).toBe('E_n 1.41: they disagree')
    expect(compareBenches([radio('us', 37)], [radio('them', 35, 1, { model: 'Mini 4' })])).toEqual([])
  })

  it('says nothing of a figure that is only an upper bound, or that neither says how sure it is of', () => {
    const bound = radio('them', 35, 1, { figures: [figure(35, 1, { isUpperBound: true })] })
    expect(compareBenches([radio('us', 37, 1)], [bound])[0]!.pairs[0]!.en).toBeNull()
    expect(compareBenches([radio('us', 37, 0)], [radio('them', 35, 0)])[0]!.pairs[0]!.en).toBeNull()
  })

  it('names what differs besides the bench', () => {
    const [pair] = compareBenches(
      [radio('us', 37)],
      [radio('them', 37, 1, { firmware: '2.14', sample: 'C' })],
    )
    expect(pair!.besides).toEqual(['sample A here, C there', 'firmware not said here, 2.14 there'])
  })

  it('names loads and instruments that are not the same', () => {
    const [pair] = compareBenches(
      [radio('us', 37, 1, { readWith: ['50 dB into the analyser', 'the load into the meter'] })],
      [radio('them', 37, 1, { readWith: ['40 dB into another', 'the load into the meter'] })],
    )
    expect(pair!.besides).toEqual([
      'read here with 50 dB into the analyser',
      'read there with 40 dB into another',
    ])
  })

  it('finds who is off among seven, and wants three benches: two units of one bench are one', () => {
    const seven = [37.0, 37.1, 36.9, 37.2, 36.8, 37.05]
      .map((value, i) => radio(`b${i}`, value))
      .concat(radio('d', 41))
    const [one] = consensusOf(seven)
    expect(one!.benches.filter(({ isOff }) => isOff).map(({ radio: { name } }) => name)).toEqual(['d'])
    expect(one!.consensus.mean).toBeGreaterThan(36.9)
    expect(one!.consensus.mean).toBeLessThan(37.2)
    expect(consensusOf([radio('a', 37), { ...radio('a', 38), setId: 't' }, radio('b', 37)])).toEqual([])
  })
})

describe('the control radio over time', () => {
  const points = (...offs: number[]): ControlPoint[] =>
    offs.map((offDb, i) => ({
      ...{ reviewId: 'r', series: 's', offDb, rangeDb: 1 },
      at: `2026-01-${String(i + 1).padStart(2, '0')}T00:00:00.000Z`,
    }))

  it('is beyond its range from just over it on', () => {
    expect(chartState(points(0.1, -0.1, 1.01)).state).toBe('beyond')
    expect(chartState(points(0.1, -0.1, 0.99)).state).toBe('steady')
    expect(chartState(points(0.1, -0.1, -1.01)).words).toContain('low')
  })

  it('has shifted when eight in a row lie on one side, not when seven do', () => {
    expect(chartState(points(-0.1, 0.2, 0.3, 0.2, 0.1, 0.2, 0.3, 0.2, 0.1)).state).toBe('shifted')
    expect(chartState(points(0.2, -0.3, 0.2, 0.1, 0.2, 0.3, 0.2, 0.1, 0.2)).state).toBe('steady')
  })

  it('goes by when it was read, not by where it stands', () => {
    const [first, ...rest] = points(1.5, 0.1, 0.1, 0.1)
    expect(chartState([...rest, first!]).state).toBe('steady')
  })

  it('speaks of no drift from two', () => expect(chartState(points(0.1, -0.1)).state).toBe('too-few'))
})

describe('how many units would have to be bought', () => {
  it('59 good ones and no bad one for 95 % of all with 95 % assurance (0.95^59 = 4.8 %; a fact of the trade)', () => {
    expect(0.95 ** 59).toBeLessThan(0.05)
    expect(0.95 ** 58).toBeGreaterThan(0.05)
    expect(unitsToBuy(0, 0, 0.95)).toBe(59)
    expect(unitsToBuy(2, 2, 0.95)).toBe(57)
  })

  it('more where one was bad, and nobody buys a thousand', () => {
    expect(unitsToBuy(1, 2, 0.95)!).toBeGreaterThan(57)
    expect(unitsToBuy(1, 2, 0.9999)).toBeNull()
  })
})
