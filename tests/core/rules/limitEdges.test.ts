import { describe, expect, it } from 'vitest'
import { copyRulebook, type Conditions, limitCurve, rulebookById } from '#core/rules'

const carrier = { frequencyHz: 100e6, powerW: 5 }
/** The curve of one clause, in three points. */
function curveOf(when: Conditions) {
  const book = copyRulebook(rulebookById('eu-land-mobile'), 'mine')
  const clause = {
    ...book.clauses.find(({ about }) => about === 'unwanted')!,
    when,
    limit: { kind: 'absolute' as const, powerW: 1e-6 },
  }
  return limitCurve({ ...book, bands: [], clauses: [clause], noFigure: [] }, carrier, {
    ...{ fromHz: 20e6, toHz: 600e6, points: 3 },
  }).points
}

describe('a drawn limit steps where it begins', () => {
  it('at so many times the carrier, a kilohertz early as the limit itself does', () => {
    const points = curveOf({ fromCarrierTimes: 2 })
    const near = points.filter(({ frequencyHz }) => Math.abs(frequencyHz - 199.999e6) < 100)
    expect(near.map(({ limitDbm }) => limitDbm)).toEqual([null, expect.closeTo(-30, 6)])
    expect(points).toHaveLength(5)
  })

  it('so far from the carrier on both sides; nowhere where it says nothing', () => {
    expect(
      curveOf({ awayHz: 5e6 }).filter(
        ({ frequencyHz }) => Math.abs(Math.abs(frequencyHz - 100e6) - 5e6) < 100,
      ),
    ).toHaveLength(4)
    expect(curveOf({})).toHaveLength(3)
  })
})
