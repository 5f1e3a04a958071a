import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { demoReview } from '#core/demo'
import { wantedStations } from '#core/station'
import {
  budget,
  contribution,
  type Contribution,
  createDistributions,
  errorDistribution,
  improvements,
  powerShareContribution,
  ratioContributions,
} from '#core/uncertainty'

const METER = powerShareContribution({ id: 'meter', label: 'Meter' }, 20, { scaleW: 10, readingW: 2.5 })
const NOISE = contribution({
  ...{ id: 'floor', group: 'floor', label: 'Noise floor' },
  ...{ distribution: 'noise-removed', halfWidth: 1, parameter: 4 },
})
const named = ({ shapeKey: _name, ...line }: Contribution) =>
  contribution({ ...line, table: line.table ?? undefined }).shapeKey

describe('a line turned to its symmetric form', () => {
  it('is not taken for the skewed one it was, whichever a store was asked of first', () => {
    const skewedFirst = createDistributions()
    expect(skewedFirst.of([METER]).symmetric).toBe(false)
    expect(skewedFirst.of(ratioContributions([], [METER])).symmetric).toBe(true)
    const symmetricFirst = createDistributions()
    expect(symmetricFirst.of(ratioContributions([], [METER])).symmetric).toBe(true)
    expect(symmetricFirst.of([METER]).symmetric).toBe(false)
  })

  it('keeps its standard uncertainty: a peak between two points is a·√(4/45), and no wider when turned', () => {
    const steps = contribution({
      ...{ id: 'steps', group: 'steps', label: 'Between points' },
      ...{ distribution: 'between-points', halfWidth: 0.9 },
    })
    const [turned] = ratioContributions([], [steps])
    // Closed form: the variance of a·U² for U even in (0, 1) is a²·(1/5 − 1/9).
    expect(turned!.standardUncertainty).toBeCloseTo(0.9 * Math.sqrt(1 / 5 - 1 / 9), 12)
    expect(turned!.halfWidth).toBeCloseTo(0.9 * Math.sqrt(1 / 5 - 1 / 9) * Math.sqrt(3), 12)
  })

  it('is as much better in a store that knows the budget as in one that knows nothing', () => {
    const store = createDistributions()
    const known = improvements(budget([METER, NOISE], store), store)
    expect(known.length).toBe(2)
    expect(known).toEqual(improvements(budget([METER, NOISE])))
  })
})

describe('every line of every budget of the demo', () => {
  it('goes by the name of its own shape', () => {
    const { review } = demoReview()
    const context = createContext(review)
    const lines = review.sets.flatMap(set =>
      wantedStations(context).flatMap(station =>
        station
          .plan(set, context)
          .flatMap(step => station.evaluate(step, context).slots)
          .flatMap(({ found, each }) => [found?.budget, ...each.map(({ ratio }) => ratio)])
          .flatMap(total => total?.contributions ?? []),
      ),
    )
    expect(lines.length).toBeGreaterThan(1000)
    expect(lines.some(({ id }) => id.startsWith('carrier:'))).toBe(true)
    expect(lines.filter(line => line.shapeKey !== named(line))).toEqual([])
  })
})

describe('shapes that were let go', () => {
  it('are made anew: a budget is the same after more shapes than are kept', () => {
    const line = (halfWidth: number, id = 'a') =>
      contribution({ id, group: 'part', label: id, distribution: 'rectangular', halfWidth })
    const before = errorDistribution([line(2), line(0.7, 'b')])
    for (let i = 0; i < 21_000; i++) errorDistribution([line(1 + i / 1e5)])
    const after = errorDistribution([line(2), line(0.7, 'b')])
    expect([after.low, after.high]).toEqual([before.low, before.high])
    // A trapezoid: ends where 2.5 % are left under a triangle of 0.7 in a foot of 1.4 (closed form).
    expect(after.high).toBeCloseTo(2.7 - Math.sqrt(0.025 * 2 * 4 * 1.4), 6)
  })
})
