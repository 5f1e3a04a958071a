import type { Context } from '#core/context'
import { describe, expect, it } from 'vitest'
import { stationById } from '#core/station'
import type { SignalNature } from '#core/review'
import {
  countedOtherwise,
  countedOtherwiseWords,
} from '../../../../core/station/transmit/harmonics/countedOtherwise'
import { harmonic, pad, reading, reviewOf, withReadings } from '../../../support/bench'
import { analyser, HARMONICS_STEP } from '../../../support/bench'

const station = stationById('harmonics')
const evaluate = (context: Context) =>
  station.evaluate(station.plan(context.review.sets[0]!, context)[0]!, context)
const bench = () =>
  reviewOf({
    instrument: analyser({ resolutionBandwidthHz: 10e3 }),
    parts: [pad(50)],
    settings: { rulebookIds: ['itu-spurious'] },
  })

/** A spur at 173.3 MHz, read in 10 kHz where the rule counts in 100 kHz: −13 dBm, noise counts 10 dB more. */
function spur(levelDbm: number, more: { nature?: SignalNature; resolutionBandwidthHz?: number } = {}) {
  const { slots, offers } = evaluate(
    withReadings(bench(), [
      harmonic(1, '-13'),
      reading(`${levelDbm - 50}`, {
        stepId: HARMONICS_STEP,
        slot: 's173300000',
        frequencyHz: 173.3e6,
        seen: more,
      }),
    ]),
  )
  const found = slots.find(({ slot }) => slot.id === 's173300000')!
  return {
    state: found.verdict.state,
    notes: found.notes.join(' '),
    asks: offers.some(({ id }) => id === 'bandwidth'),
  }
}

describe('a spur read in another bandwidth than the rule’s (noise: 10·log of the bandwidths)', () => {
  it.each([
    [-26, 'inside'],
    [-20, 'too-close'],
    [-9, 'outside'],
  ])('%d dBm is %s while nobody says what it is', (levelDbm, state) => {
    expect(spur(levelDbm).state).toBe(state)
  })

  it('is asked about only where it matters', () => {
    expect(spur(-20).asks).toBe(true)
    expect(spur(-20).notes).toContain('Judged for both')
    expect(spur(-26).asks).toBe(false)
  })

  it('counts as what it is said to be', () => {
    expect(spur(-20, { nature: 'narrow' })).toMatchObject({ state: 'inside', asks: false })
    expect(spur(-20, { nature: 'noise-like' })).toMatchObject({ state: 'outside', asks: false })
    expect(spur(-25.5, { nature: 'noise-like' }).state).toBe('inside')
  })

  it('is plain once it is read in the rule’s bandwidth', () => {
    expect(spur(-20, { resolutionBandwidthHz: 100e3 })).toMatchObject({ state: 'inside', asks: false })
    expect(spur(-20, { resolutionBandwidthHz: 99.5e3 })).toMatchObject({ state: 'inside', asks: false })
  })
})

describe('what a reading in another bandwidth counts', () => {
  const spurAt = (referenceHz: number | null, measuredHz: number | null) =>
    countedOtherwise(referenceHz, {
      measuredHz,
      nature: null,
      emission: { frequencyHz: 173.3e6, harmonic: null },
    })
  it('is less where the rule’s is narrower, and nothing where they are the same or one is not known', () => {
    expect(spurAt(100e3, 300e3)).toMatchObject({ noiseReadsDb: [expect.closeTo(-4.771, 3), 0] })
    expect(countedOtherwiseWords(spurAt(100e3, 300e3)!)).toContain('4.8')
    expect([spurAt(null, 1e3), spurAt(1e3, null), spurAt(1e3, 1e3)]).toEqual([null, null, null])
  })
})

describe('a harmonic of an unmodulated carrier', () => {
  const at = (level: string) => {
    const result = evaluate(withReadings(bench(), [harmonic(1, '-13'), harmonic(2, level)]))
    return { state: result.slots[1]!.verdict.state, asks: result.offers.some(({ id }) => id === 'bandwidth') }
  }
  it('is taken for a plain carrier, and asked about where noise would turn it', () => {
    expect(at('-70')).toEqual({ state: 'inside', asks: true })
    expect(at('-80')).toEqual({ state: 'inside', asks: false })
  })
})
