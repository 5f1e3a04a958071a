import { describe, expect, it } from 'vitest'
import { analysisFacts, portableFft } from '#core/signal'
import { EdgeReader, highestIn } from '#core/signal/measure/edgeFrames'
import { addEnvelopes, noEnvelope } from '#core/signal/receiver/envelopeSums'
import { addLevels, clippedShareOf, countLevels, noLevels } from '#core/signal/receiver/levelCounts'
import { analysed } from '../../support/analysed'
import { analysis } from '../../support/analysis'
import { fmWave, iqOf, linesWave, throughReceiver } from '../../support/iq'
import { plain } from '../../support/results'

const RATE = 48_000

describe('pieces of a first look', () => {
  const clean = iqOf(
    { seconds: 0.5, rate: RATE, noiseDb: -60 },
    fmWave({ amplitude: 0.5, offsetHz: 3000, deviationHz: 1500 }),
  )
  const cut = throughReceiver(clean, { rail: 0.4 })
  const counted = (...pieces: Float32Array[]) =>
    addLevels(
      pieces.map(piece => {
        const levels = noLevels()
        countLevels(levels, piece)
        return levels
      }),
    )

  it('sizes that are counted in two stretches come to what they do in one', () => {
    const half = 2 * Math.floor(cut.length / 4)
    const [first, second] = [cut.slice(0, half), cut.slice(half)]
    const whole = counted(cut)
    for (const two of [counted(first, second), counted(second, first)]) {
      expect(two.besideTop).toEqual(whole.besideTop)
      expect(clippedShareOf(two)).toBe(clippedShareOf(whole))
    }
    expect(clippedShareOf(whole)).toBeGreaterThan(0.1)
    // A weaker stretch before or after changes nothing at the top.
    const weak = cut.map(value => value / 4)
    expect(counted(weak, cut).top).toBe(whole.top)
    expect(counted(cut, weak).besideTop).toEqual(whole.besideTop)
  })

  it('hours of stretches add up', () => {
    const one = { ...noEnvelope(), count: 1, i: 2, leastPower: 3 }
    const many = addEnvelopes([...Array.from({ length: 300_000 }, () => one), { ...one, leastPower: 1 }])
    expect(many).toMatchObject({ count: 300_001, i: 600_002, leastPower: 1 })
  })

  it('too few samples at the top are no flat top', () => {
    const few = clean.slice()
    for (let n = 0; n < 14; n += 2) few[n] = 0.9
    for (let n = 1; n < 14; n += 2) few[n] = (n % 4 === 1 ? 1 : -1) * (0.5 + n / 200)
    expect(clippedShareOf(counted(few))).toBe(0)
    for (let n = 14; n < 40; n += 2) few[n] = 0.9
    for (let n = 15; n < 40; n += 2) few[n] = (n % 4 === 1 ? 1 : -1) * (0.5 + n / 200)
    expect(clippedShareOf(counted(few))).toBeCloseTo(20 / few.length, 9)
  })

  it('an edge that comes in pieces is read as one', () => {
    const around = { sampleRateHz: RATE, signalHz: 3000, channelSpacingHz: 12_500 }
    const read = (...pieces: Float32Array[]) => {
      const reader = new EdgeReader(around, portableFft)
      pieces.forEach((piece, i) => reader.add(piece, i === pieces.length - 1))
      const edges = reader.read()
      reader.release()
      return edges
    }
    const whole = read(clean)
    const pieces = read(clean.slice(0, 2 * 700), clean.slice(2 * 700, 2 * 9001), clean.slice(2 * 9001))
    expect(pieces.frames).toHaveLength(whole.frames.length)
    const band = { lowHz: -3000, highHz: 9000 }
    expect(highestIn(pieces, band)).toBeCloseTo(highestIn(whole, band)!, 9)
    // All of a carrier of amplitude 0.5 lies in it.
    expect(highestIn(whole, band)!).toBeCloseTo(0.25, 1)
    expect(highestIn({ ...whole, frames: [] }, band)).toBeNull()
  })

  it('a spike beside two tones of SSB does not count for an image', async () => {
    const tones = iqOf(
      { seconds: 2, rate: RATE, noiseDb: -70 },
      linesWave([
        { hz: 15_700, db: -14 },
        { hz: 16_900, db: -14 },
      ]),
    )
    const seen = throughReceiver(tones, { image: [0.01, 0], spike: [0.1, 0.06] })
    const { insight } = await analysed(seen, RATE, { channelSpacingHz: 12_500 })
    expect((insight!.image as { seenDb: number }).seenDb).toBeCloseTo(-40, 0)
    expect(insight!.spikeDb).toBeCloseTo(20 * Math.log10(Math.hypot(0.1, 0.06)), 1)
  })

  it('a key-down is said: the worse of both sides', () => {
    const channel = (side: 'lower' | 'upper', step: 1 | 2, ratioDb: number) => ({ side, step, ratioDb })
    const of = (channels: ReturnType<typeof channel>[]) =>
      analysisFacts(analysis({ transient: { channels } }), null)
        .map(plain)
        .join(' ')
    const words = of([channel('lower', 1, -41), channel('upper', 1, -39.4), channel('lower', 2, -52)])
    expect(words).toContain('up to −39.4 dBc in the next neighbour, −52.0 dBc in the second neighbour')
    expect(of([channel('lower', 1, -41)])).not.toContain('second neighbour')
  })
})
