import { describe, expect, it } from 'vitest'
import { byTheStandard } from '#core/judging'
import { stationById } from '#core/station'
import { harmonic, pad, radio, reviewOf, withReadings } from '../../support/bench'
import { analyser } from '../../support/bench'

/** The second harmonic of a set at 155 MHz against EN 300 086: 0.25 µW, −36.02 dBm; the bench as good as said. */
function judged(level: string, accuracyDb: number, rulebookId = 'eu-land-mobile') {
  const context = withReadings(
    reviewOf({
      instrument: analyser({ amplitudeAccuracyDb: accuracyDb }),
      parts: [pad(50)],
      set: radio({}, { mhz: 155 }),
      settings: { rulebookIds: [rulebookId] },
    }),
    [harmonic(1, '-13', {}, 155), harmonic(2, level, {}, 155)],
  )
  const station = stationById('harmonics')
  const step = station.plan(context.review.sets[0]!, context)[0]!
  return station.evaluate(step, context).slots.find(({ slot }) => slot.id === 'x2')!.each[0]!
}

describe('a standard that decides by itself (measured value against limit; largest uncertainties from memory)', () => {
  it('calls inside what the review’s rule leaves open, and outside just beyond', () => {
    const inside = judged('-86.5', 2)
    expect(inside.verdict.state).toBe('too-close')
    expect(byTheStandard(inside, null)).toMatchObject({ state: 'inside', tooUncertain: null })
    expect(byTheStandard(judged('-85.5', 2), null)).toMatchObject({ state: 'outside' })
  })

  it('says where the bench leaves more open than the ±4 dB it allows', () => {
    expect(byTheStandard(judged('-60', 4), null)!.tooUncertain).toBeNull()
    expect(byTheStandard(judged('-60', 4.5), null)!.tooUncertain).toContain('±4.00')
  })

  it('takes a largest uncertainty in percent of the figure, and in a million of the frequency', () => {
    const one = judged('-60', 1)
    const limit = one.limit as Extract<typeof one.limit, { kind: 'limit' }>
    const with5Percent = {
      ...one,
      limit: { ...limit, decides: { largest: { about: 'deviation', value: 5, unit: '%' } } },
    }
    const at = (value: number | null, range: number) =>
      byTheStandard({ ...with5Percent, verdict: { ...one.verdict, unit: 'Hz', range } } as typeof one, value)!
        .tooUncertain
    expect(at(2500, 124)).toBeNull()
    expect(at(2500, 126)).toContain('5 %')
    expect(at(null, 126)).toBeNull()
  })

  it('says nothing for a law that leaves it to whoever measures', () => {
    expect(byTheStandard(judged('-60', 1, 'us-land-mobile'), null)).toBeNull()
    expect(byTheStandard(judged('-60', 1, 'itu-spurious'), null)).toBeNull()
  })

  it('takes a bound for what it can show: inside, or nothing', () => {
    expect(byTheStandard(judged('<-90', 1), null)).toMatchObject({ state: 'inside' })
    expect(byTheStandard(judged('<-70', 1), null)).toMatchObject({ state: 'not-covered' })
  })
})
