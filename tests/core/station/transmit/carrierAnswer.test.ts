import { describe, expect, it } from 'vitest'
import { type Band, newBand, newChannel, type Review } from '#core/review'
import { CARRIER_POWER_ID, HARMONICS_ID, stationById } from '#core/station'
import { createContext } from '#core/context'
import { AT, meter, pad, POWER_STEP, radio, reading, reviewOf, withReadings } from '../../../support/bench'

const station = stationById(CARRIER_POWER_ID)
const bench = (): Review => reviewOf({ instrument: meter({ id: 'an', accuracyPercent: 3 }), parts: [pad(0)] })

function band(id: string, name: string, mhz: number): Band {
  return {
    ...newBand({ id, name, levelIds: ['high'] }),
    claims: { high: { kind: 'watts', powerW: 5 } },
    channels: [newChannel({ id: `${id}-c`, name: '', frequencyHz: mhz * 1e6, harmonics: true })],
  }
}

const twoBands = (): Review => ({
  ...bench(),
  sets: [radio({ bands: [band('a', 'Low', 50.1), band('b', 'High', 146.5)] })],
})
const left = (stepId: string) => ({ setId: 'set', stepId, reason: 'no load', at: AT })

describe('what is missing of a set’s power', () => {
  const answer = (review: Review) => {
    const context = createContext(review)
    return station.answer(station.questions(review.sets, context)[0]!, review.sets[0]!, context)
  }
  const steps = ['carrier-power:a:a-c:high', 'carrier-power:b:b-c:high']

  it('is left out only where all of it is', () => {
    expect(answer(twoBands()).gap).toBe('open')
    expect(answer({ ...twoBands(), skipped: steps.slice(0, 1).map(left) }).gap).toBe('open')
    expect(answer({ ...twoBands(), skipped: steps.map(left) }).gap).toBe('left-out')
  })

  it('is nothing once one was read', () => {
    const read = reading('5.2 W', {
      slot: 'carrier',
      stepId: steps[0]!,
      frequencyHz: 50.1e6,
      instrumentId: 'an',
    })
    expect(answer({ ...twoBands(), readings: [read] }).gap).toBeNull()
  })
})

describe('questions of carrier power', () => {
  const ids = (rulebookIds: string[]) => {
    const review = { ...bench(), settings: { ...bench().settings, rulebookIds } }
    return station.questions(review.sets, createContext(review)).map(({ id }) => id)
  }
  it('ask for the law only where a rulebook speaks of power', () => {
    expect(ids(['us-amateur'])).toEqual(['watts:high', 'lawful-power'])
    expect(ids(['itu-spurious'])).toEqual(['watts:high'])
  })

  it('a set whose maker says nothing is held to no rating', () => {
    const review: Review = {
      ...reviewOf({
        instrument: meter({ id: 'an' }),
        parts: [pad(0)],
        set: radio({}, { claimW: null, mhz: 154 }),
      }),
    }
    const settings = { ...review.settings, rulebookIds: ['eu-land-mobile'] }
    const read = reading('5.2 W', {
      slot: 'carrier',
      stepId: POWER_STEP,
      frequencyHz: 154e6,
      instrumentId: 'an',
    })
    const context = withReadings({ ...review, settings }, [read])
    const [slot] = station.evaluate(station.plan(review.sets[0]!, context)[0]!, context).slots
    expect(slot!.each.map(({ limit }) => limit.kind)).not.toContain('scalar')
  })
})

describe('questions of harmonics', () => {
  it('go by bands: those most sets have first, then from low to high', () => {
    const sets = [
      { ...radio(), id: 's1', bands: [band('u', 'UHF', 446), band('v', 'VHF', 146), band('l', 'Low', 50)] },
      { ...radio(), id: 's2', bands: [band('u', 'UHF', 446)] },
    ]
    const review = { ...reviewOf(), sets }
    const asked = stationById(HARMONICS_ID).questions(sets, createContext(review))
    expect([...new Set(asked.map(({ bandName }) => bandName))]).toEqual(['UHF', 'Low', 'VHF'])
  })
})
