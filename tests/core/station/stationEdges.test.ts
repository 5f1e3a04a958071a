import { describe, expect, it } from 'vitest'
import type { Reading, Review } from '#core/review'
import {
  BANDWIDTH_ID,
  DEVIATION_ID,
  HARMONICS_ID,
  NEIGHBOUR_ID,
  OCCUPIED_SLOT,
  OFF_AIR_ID,
  SENSITIVITY_ID,
  SQUELCH_ID,
  stationById,
  STRONG_ID,
} from '#core/station'
import { newChain } from '#core/chain'
import { analyser, figure, harmonic, meter, pad, radio, reading, reviewOf } from '../../support/bench'
import { generator, hearingReview, pointsAround, sinad, turnedTo, withReadings } from '../../support/hearing'
import { landMobile, resultOf, slot, stepOf } from '../../support/stations'
import { plain } from '../../support/results'

const quiet = generator({ id: 'gen2', phaseNoise: [{ offsetHz: 10e3, dbcPerHz: -130 }], referencePpm: 0.01 })

describe('what a receiver’s stations say at their edges', () => {
  const rounds = (open: number, close: number) =>
    resultOf(
      SQUELCH_ID,
      withReadings(hearingReview(), [
        turnedTo(open, { stationId: SQUELCH_ID, slot: 'threshold-open-1' }),
        turnedTo(close, { stationId: SQUELCH_ID, slot: 'threshold-close-1' }),
      ]),
    ).questions

  it('a squelch is asked about only where it opens below where it closes', () => {
    expect(rounds(-117, -113)).toHaveLength(1)
    expect(rounds(-113, -113)).toEqual([])
    expect(rounds(-113, -117)).toEqual([])
  })

  it('offsets that show no top are asked about, those that do are not', () => {
    const offsets = (values: readonly number[]) => {
      const slots = stationById(SENSITIVITY_ID)
        .plan(hearingReview().sets[0]!, withReadings(hearingReview(), []))[0]!
        .slots.filter(({ kind }) => kind.is === 'offset')
      const readings = slots.map(({ id, frequencyHz }, i) =>
        sinad(values[i]!, { stationId: SENSITIVITY_ID, slot: id, wantedDbm: -105, frequencyHz }),
      )
      const { questions } = resultOf(SENSITIVITY_ID, withReadings(hearingReview(), readings))
      return questions.map(({ words }) => words).filter(words => words.includes('its top is flat'))
    }
    const count = 9
    expect(offsets(Array.from({ length: count }, () => 20))).toHaveLength(1)
    expect(offsets(Array.from({ length: count }, (_unused, i) => 20 - (i - 2) ** 2))).toEqual([])
  })

  it('two generators make the rejection a thing to be measured, one makes it a wish', () => {
    const optional = (second: typeof quiet | null) => {
      const review = hearingReview({ second })
      const [step] = stationById(NEIGHBOUR_ID).plan(review.sets[0]!, withReadings(review, []))
      const of = (id: string) => step!.slots.find(one => one.id === id)!.optional ?? false
      return [of('rejection-tia'), of('rejection-en')]
    }
    expect(optional(quiet)).toEqual([false, true])
    expect(optional(null)).toEqual([true, true])
  })

  it('an interferer stands at its offset, on the side it is named for', () => {
    const review = hearingReview({ second: quiet })
    const [step] = stationById(STRONG_ID).plan(review.sets[0]!, withReadings(review, []))
    const at = (id: string) => step!.slots.find(one => one.id === id)!.frequencyHz
    expect(at('block1') - 154e6).toBe(1e6)
    expect(at('block-1') - 154e6).toBe(-1e6)
    expect(step!.slots.find(({ id }) => id === 'block1')!.applied![0]!.frequencyHz).toBe(154e6)
  })

  it('a quiet interferer’s ceiling is told beside the least offset, and its step counts by half', () => {
    const block = (slotId: string, ratioDb: number): Reading =>
      turnedTo(-120 + ratioDb + 10, { stationId: STRONG_ID, slot: slotId, wantedDbm: -107 }, 'gen2')
    const stepped = { ...quiet, resolution: 0.5 }
    const context = withReadings(hearingReview({ second: stepped }), [
      ...pointsAround(-120, [-4, -1, 1, 5]),
      block('block1', 77),
    ])
    const blocking = slot(resultOf(STRONG_ID, context), 'blocking')
    expect(plain(blocking.notes[0]!)).toBe('The least of 1 offsets, at +1 MHz.')
    expect(blocking.notes.filter(words => words.includes('dBc/Hz'))).toHaveLength(1)
    const step = blocking.found!.budget.contributions.find(({ id }) => id === 'interferer-step')!
    expect(step.halfWidth).toBeCloseTo(0.25, 12)
  })

  it('survival names the strongest signal it was put through, where there was one', () => {
    const review = hearingReview({ second: quiet })
    const consent = { by: 'the owner', at: '2026-11-20T10:00:00.000Z', upToDbm: 18 }
    review.memos = {
      [STRONG_ID]: { common: null, bySet: { set: { consent, ifHz: null, isHighSide: false } } },
    }
    const levels = ['before-1', 'after-1'].map(id => turnedTo(-110, { stationId: STRONG_ID, slot: id }))
    const hit = (id: string) =>
      figure(1, { slot: id, stepId: stepOf(STRONG_ID), stationId: STRONG_ID, unit: 'mark' })
    const words = (readings: Reading[]) =>
      plain(slot(resultOf(STRONG_ID, withReadings(review, readings)), 'survival').words)
    expect(words(levels)).toMatch(/^As before/)
    expect(words([...levels, hit('hit10')])).toMatch(/^\+10 dBm: As before/)
    expect(words([...levels, hit('hit10'), hit('hit18')])).toMatch(/^\+18 dBm: As before/)
  })
})

describe('what a transmitter’s stations say at their edges', () => {
  it('a bandwidth of more than 100 kHz of a voice channel is asked about', () => {
    const asked = (hz: number) =>
      resultOf(
        BANDWIDTH_ID,
        withReadings(landMobile(), [
          figure(hz, { slot: OCCUPIED_SLOT, stepId: stepOf(BANDWIDTH_ID), unit: 'Hz' }),
        ]),
      ).questions.map(({ words }) => words)
    expect(asked(100_000)).toEqual([])
    expect(asked(100_100)[0]).toContain('very wide for a voice channel')
  })

  it('a null set by eye is an assumption', () => {
    const bessel = figure(2405, { slot: 'null', stepId: stepOf(DEVIATION_ID), unit: 'Hz' })
    const step = stationById(DEVIATION_ID).plan(landMobile().sets[0]!, withReadings(landMobile(), []))[0]!
    const slotId = step.slots.find(({ id, kind }) => id.includes('null') || kind.is.includes('null'))!.id
    const { found } = slot(
      resultOf(DEVIATION_ID, withReadings(landMobile(), [{ ...bessel, slot: slotId }])),
      slotId,
    )
    expect(found!.budget.contributions.find(({ id }) => id === 'null')).toMatchObject({ assumed: true })
  })

  it('the ambient of the carrier is called so, that of a harmonic by its number', () => {
    const review = reviewOf()
    const [step] = stationById(OFF_AIR_ID).plan(review.sets[0]!, withReadings(review, []))
    const label = (id: string) => step!.slots.find(one => one.id === id)!.label
    expect([label('a1'), label('a2'), label('x1'), label('x2')]).toEqual([
      ...['Ambient at the carrier', 'Ambient at ×2', 'Carrier', '×2'],
    ])
  })

  it('where the carrier was never read, a limit that follows it lies between claim and 3 dB under it', () => {
    const review = reviewOf({ set: radio({}, { claimW: 50 }) })
    const silent = { ...review, settings: { ...review.settings, rulebookIds: ['itu-spurious'] } }
    const state = (text: string) =>
      slot(resultOf(HARMONICS_ID, withReadings(silent, [harmonic(2, text)])), 'x2').verdict
    // 43 + 10·log P of 50 W is an absolute −13 dBm whatever the power; of amateur sets it follows: 60 dB under.
    expect(state('-95').state).toBe('inside')
    const amateur = { ...review, settings: { ...review.settings, rulebookIds: ['us-amateur'] } }
    const by = (text: string) =>
      slot(resultOf(HARMONICS_ID, withReadings(amateur, [harmonic(2, text)])), 'x2').verdict
    // 50 W are 47 dBm, 60 dB under: −13 dBm; 3 dB less: −16 dBm. Behind 50 dB: −63 and −66.
    expect(by('-69').state).toBe('inside')
    expect(by('-64.5').state).toBe('too-close')
    expect(by('-60').state).toBe('outside')
    const { margin, marginLow, marginHigh } = by('-64.5')
    expect(margin).toBeCloseTo(0, 1)
    expect(marginHigh! - marginLow!).toBeGreaterThan(3 + 2 * 0.9)
  })

  it('power read with no harmonic known is counted by the power itself', () => {
    const base = reviewOf()
    const review: Review = {
      ...base,
      instruments: [analyser(), meter({ sensor: 'thermal' })],
      chains: [...base.chains, { ...newChain('pw', 'Power', 'pm'), parts: [pad(0, { id: 'none' })] }],
    }
    const watts = reading('5', {
      slot: 'carrier',
      stepId: 'carrier-power:band:c1:high',
      frequencyHz: 146.52e6,
      instrumentId: 'pm',
      chainId: 'pw',
    })
    // One 20 dB under 37 dBm takes 0.043 dB off.
    const { found } = resultOf('carrier-power', withReadings(review, [watts, harmonic(2, '-33')])).slots[0]!
    expect(found!.value - found!.budget.shift).toBeCloseTo(36.9897 - 0.0432, 2)
  })
})
