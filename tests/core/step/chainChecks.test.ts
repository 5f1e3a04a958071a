import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { benchMark } from '#core/plan'
import { newChannel } from '#core/review'
import { expectedPlaces, hottestPlace, stepChecks } from '#core/step'
import { stationById } from '#core/station'
import { pad, radio, reviewOf } from '../../support/bench'

/** The bench of one radio of 5 W with a pad that bears 4 W on average at 25 °C, 20 W for a moment. */
function hotBench(duty: { keyedS: number; restS: number }) {
  const small = pad(50, { ratingW: 4, peakW: 20, zeroRatingAtC: 125 })
  return reviewOf({ parts: [small], settings: { duty, ambientC: 25 } })
}

describe('where a set asks most of a chain', () => {
  it('is its highest power, on a channel chosen for harmonics first', () => {
    const set = radio()
    const [band] = set.bands
    set.levels = [...set.levels, { id: 'low', name: 'Low' }]
    band!.claims = { high: { kind: 'watts', powerW: 5 }, low: { kind: 'watts', powerW: 0.5 } }
    band!.channels = [
      newChannel({ id: 'plain', name: '', frequencyHz: 145e6, harmonics: false }),
      newChannel({ id: 'chosen', name: '', frequencyHz: 146e6, harmonics: true }),
    ]
    const hottest = hottestPlace(expectedPlaces(set))
    expect([hottest?.level.id, hottest?.channel.id, hottest?.powerW]).toEqual(['high', 'chosen', 5])
    expect(hottestPlace([])).toBeNull()
  })
})

describe('the mark of the bench check', () => {
  it.each([
    [{ keyedS: 10, restS: 110 }, 'too-close'],
    [{ keyedS: 3600, restS: 0 }, 'outside'],
  ] as const)('reckons with the duty of the review: %o is %s', (duty, mark) => {
    const context = createContext(hotBench(duty))
    expect(benchMark(context.review.sets[0]!, context)).toBe(mark)
  })

  it('says the same as the checks of the step that goes through the chain', () => {
    const context = createContext(hotBench({ keyedS: 3600, restS: 0 }))
    const [step] = stationById('harmonics').plan(context.review.sets[0]!, context)
    expect(stepChecks(step!, context, 1)[0]).toMatchObject({ id: 'heat:pad50', severity: 'danger' })
  })
})
