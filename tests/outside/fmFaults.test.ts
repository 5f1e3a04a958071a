import { describe, expect, it } from 'vitest'
import { analysed } from '../support/analysed'
import { evenNumbers } from '../support/audio'

const RATE = 96_000

/** I/Q of a carrier whose frequency over time is known, Hz, in noise so many dB under it (in the whole width). */
function fmOf(
  seconds: number,
  frequencyHz: (s: number) => number,
  noiseDb: number | null = null,
): Float32Array {
  const random = evenNumbers(4)
  const samples = new Float32Array(2 * seconds * RATE)
  const noise = noiseDb === null ? 0 : Math.sqrt(10 ** (noiseDb / 10) / 2)
  let phase = 0
  for (let n = 0; n < seconds * RATE; n++) {
    phase += (2 * Math.PI * frequencyHz(n / RATE)) / RATE
    // Box and Muller (from memory): both of a pair.
    const size = noise * Math.sqrt(-2 * Math.log(1 - random()))
    const angle = 2 * Math.PI * random()
    samples[2 * n] = 0.5 * (Math.cos(phase) + size * Math.cos(angle))
    samples[2 * n + 1] = 0.5 * (Math.sin(phase) + size * Math.sin(angle))
  }
  return samples
}
const tone = (hz: number, deviationHz: number) => (s: number) => deviationHz * Math.sin(2 * Math.PI * hz * s)

describe('faults of a modulation whose truth is known in closed form', () => {
  it('a burst of 2500 Hz in a tone of 1500 Hz counts, and the tone stands beside it', async () => {
    const plain = tone(1000, 1500)
    const burst = tone(1000, 2500)
    const { deviation } = await analysed(
      fmOf(3, s => (s > 1.5 && s < 1.55 ? burst(s) : plain(s))),
      RATE,
    )
    expect(deviation!.method).toBe('extremes')
    expect(Math.abs(deviation!.halfPeakToPeakHz / 2500 - 1)).toBeLessThan(0.02)
    expect(Math.abs(deviation!.toneAloneHz! / 1500 - 1)).toBeLessThan(0.02)
    expect(deviation!.words).toContain('something else swings further')
  })

  it('overshoots to 3000 Hz every tenth of a second count, and a clean tone stays a tone', async () => {
    const plain = tone(1000, 1500)
    const over = (s: number) => plain(s) * (s % 0.1 < 0.001 ? 2 : 1)
    const { deviation } = await analysed(fmOf(2, over), RATE)
    expect(Math.max(deviation!.plusHz, deviation!.minusHz)).toBeGreaterThan(2900)
    expect(deviation!.toneAloneHz).not.toBeNull()
    const clean = (await analysed(fmOf(2, plain, -35), RATE)).deviation!
    expect(clean).toMatchObject({ method: 'tone', toneAloneHz: null, isUpperBound: false })
    expect(Math.abs(clean.halfPeakToPeakHz / 1500 - 1)).toBeLessThan(0.01)
  })

  it('a drift of 400 Hz in four seconds is told, and is no deviation', async () => {
    const two = (s: number) => tone(700, 900)(s) + tone(1900, 900)(s)
    const { deviation } = await analysed(
      fmOf(4, s => 100 * s + two(s)),
      RATE,
    )
    expect(deviation!.driftHz).toBeCloseTo(400, -1)
    // Half a second either side of the middle of its second it has moved by 50 Hz.
    expect(deviation!.halfPeakToPeakHz).toBeGreaterThan(1790)
    expect(deviation!.halfPeakToPeakHz).toBeLessThan(1860)
    expect(deviation!.carrierHz).toBeCloseTo(200, -1)
    // All 400 Hz lie within two and a half standard uncertainties either side.
    expect(deviation!.carrierUncertaintyHz).toBeGreaterThan(400 / Math.sqrt(12) - 1)
    expect(deviation!.words).toMatch(/drifted by (399|400|401) Hz/)
  })

  it('a key-down in the middle of a second of noise swings no further than its tone', async () => {
    const samples = fmOf(4, tone(1000, 1500))
    const random = evenNumbers(6)
    // Half a second of weak noise in front: its frequency is anything.
    for (let n = 0; n < 2 * 0.5 * RATE; n++) samples[n] = 0.01 * (random() - 0.5)
    const { deviation } = await analysed(samples, RATE)
    expect(Math.abs(deviation!.halfPeakToPeakHz / 1500 - 1)).toBeLessThan(0.02)
    expect(deviation!.toneAloneHz).toBeNull()
  })

  it('pure noise is no signal, and a carrier at 6 dB of C/N is only a bound', async () => {
    const silent = new Float32Array(2 * 2 * RATE)
    const random = evenNumbers(9)
    for (let n = 0; n < silent.length; n++)
      silent[n] = 0.1 * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
    const found = await analysed(silent, RATE)
    expect(found.deviation).toBeNull()
    expect(found.without.join(' ')).toContain('no signal in this channel')
    // 18 of 96 kHz of the noise pass the channel filter: 7.3 dB less than in the whole width.
    const weak = (
      await analysed(
        fmOf(2, () => 0, -1),
        RATE,
      )
    ).deviation!
    expect(weak).toMatchObject({ isUpperBound: true, boundBy: 'clicks' })
    expect(weak.carrierToNoiseDb).toBeGreaterThan(6.8)
    expect(weak.carrierToNoiseDb).toBeLessThan(9.2)
    expect(
      (
        await analysed(
          fmOf(2, () => 0, -9),
          RATE,
        )
      ).deviation!.isUpperBound,
    ).toBe(false)
  })
})
