import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { eveningById, evenings, hasTruth, worldOf } from '#core/practice'
import { trueFigure } from '#core/practice/trueFigures'
import { stationById, stations } from '#core/station'
import type { Slot, Step } from '#core/step'
import { type Keyed, type VirtualRadio, virtualRadio } from '#core/virtual'
import { AT } from '../../support/bench'

const { review } = worldOf(eveningById(evenings[0]!.id)!, { reviewId: 'r', at: AT })
const context = createContext(review)

/** How the radio was keyed when it was asked. */
const asked: Keyed[] = []
const seen = (keyed: Keyed): Keyed => {
  asked.push(keyed)
  return keyed
}

/** A radio of round figures; what is not asked here is that of some other. */
const RADIO: VirtualRadio = {
  ...virtualRadio(1),
  carrierDbm: keyed => 36 - (seen(keyed).forS ?? 0) / 100,
  harmonicDbm: (keyed, n) => 30 - 10 * n + 0 * seen(keyed).carrierHz,
  deviationHz: keyed => ({ nothing: 0, tone: 2100, loudest: 2400 })[seen(keyed).speaks ?? 'nothing'],
  speaker: { ...virtualRadio(1).speaker, ratedV: 4 },
  hearing: {
    equalDbm: -130,
    gainDb: 6,
    tunedHz: 0,
    rejectionDb: { lower: 61, upper: 57 },
    blockingDb: { below: 79, above: 82 },
    squelchDbm: { open: -121, close: -124.5 },
  },
}

interface Asked {
  step: Step
  slot: Slot
}

/** Every slot an evening plans at a station, on the first radio. */
function slotsOf(stationId: string): Asked[] {
  const station = stationById(stationId)
  return station
    .plan(review.sets[0]!, context)
    .flatMap(step => station.evaluate(step, context).slots.map(({ slot }) => ({ step, slot })))
}

function truthsOf(stationId: string): Record<string, number> {
  return Object.fromEntries(
    slotsOf(stationId).flatMap(({ step, slot }) => {
      const truth = trueFigure(stationId, slot, RADIO, step)
      return truth === null ? [] : [[slot.id, truth]]
    }),
  )
}

/** SINAD behind the discriminator at a carrier to noise ratio, term by term: 6 dB of gain, 36 dB at most. */
function sinadDb(ratio: number): number {
  const clicksAndNoise = 1 / (10 ** 0.6 * ratio) + 4 * Math.exp(-ratio)
  const held = (1 - Math.exp(-ratio)) ** 2
  return 10 * Math.log10(1 + 1 / (clicksAndNoise / held + 10 ** -3.6))
}

describe('what is true of a radio of practice', () => {
  it('is its power as it is keyed, at the moment that is asked for', () => {
    expect(truthsOf('carrier-power')).toEqual({ carrier: 36 })
    const [place] = slotsOf('carrier-power')
    expect(asked.at(-1)).toMatchObject({ carrierHz: place!.step.channel.frequencyHz, claimedW: 5 })
    // The radio loses a hundredth of a decibel a second; what its battery does, and a repeat, has no truth.
    const overTime = Object.entries(truthsOf('power-over-time'))
    expect(overTime.map(([id]) => id)).toEqual(expect.arrayContaining(['t0', 't60', 't300']))
    for (const [id, dbm] of overTime) expect(dbm).toBeCloseTo(36 - Number(id.slice(1)) / 100, 12)
  })

  it('is each harmonic by its number, once it has settled, and nothing of the air around', () => {
    const settled = Object.fromEntries(Array.from({ length: 10 }, (_unused, i) => [`x${i + 1}`, 20 - 10 * i]))
    expect(truthsOf('harmonics')).toEqual(settled)
    expect(truthsOf('off-air')).toEqual({})
  })

  it('is the level at which the audio comes to 12 dB and to 20 dB', () => {
    const found = truthsOf('sensitivity')
    expect(Object.keys(found)).toEqual(['sinad-12', 'sinad-20'])
    for (const [id, level] of Object.entries(found))
      expect(sinadDb(10 ** ((level + 130) / 10))).toBeCloseTo(Number(id.split('-')[1]), 6)
  })

  it('is the worse of both sides of a channel, and of what is far away', () => {
    expect(truthsOf('neighbour')).toEqual({ 'rejection-tia': 57 })
    expect(truthsOf('strong-signals')).toEqual({ blocking: 79 })
  })

  it('is where the squelch opens, and by how much later it closes', () => {
    expect(truthsOf('squelch')).toEqual({ hysteresis: 3.5, opens: -121 })
  })

  it('is how far the carrier swings with a tone and with a shout, at the spacing the channel has', () => {
    expect(truthsOf('deviation')).toEqual({ tone: 2100, loudest: 2400 })
    expect(asked.slice(-2)).toMatchObject([
      { speaks: 'tone', spacingHz: 12_500 },
      { speaks: 'loudest', spacingHz: 12_500 },
    ])
  })

  it('is what the speaker makes of its volts across 8 Ω: 4 V are 2 W', () =>
    expect(truthsOf('audio')).toEqual({ power: 2 }))

  it('is nothing where a station has no truth of its own, and the stations that have one say so', () => {
    const known = stations.filter(({ id }) => hasTruth(id)).map(({ id }) => id)
    expect(known).toEqual(expect.arrayContaining(['carrier-power', 'harmonics', 'sensitivity', 'neighbour']))
    const [place] = slotsOf('carrier-power')
    for (const { id } of stations.filter(({ id: one }) => !known.includes(one)))
      expect(trueFigure(id, place!.slot, RADIO, place!.step)).toBeNull()
  })
})
