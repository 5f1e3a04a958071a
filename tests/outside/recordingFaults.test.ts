import { describe, expect, it } from 'vitest'
import { fmWave, iqOf, linesWave, repeating, throughReceiver, together, type Wave } from '../support/iq'
import { analysed } from '../support/analysed'
import { evenNumbers } from '../support/audio'

const RATE = 48_000

/** I and Q in noise that would be so strong in 96 kHz, dB of full scale: half of it lies in this recording. */
const recorded = (seconds: number, noiseDb: number | null, wave: Wave) =>
  iqOf({ seconds, rate: RATE, noiseDb: noiseDb === null ? null : noiseDb - 10 * Math.log10(2) }, wave)
const ONE_TONE = { amplitude: 0.4, offsetHz: 6250, toneHz: 1000, deviationHz: 1500 }

/** Lines 100 Hz apart that fill the filter of a neighbour 12.5 kHz off, together so far under a carrier. */
const neighbour = (middleHz: number, db: number) =>
  repeating(
    RATE,
    RATE / 50,
    linesWave(Array.from({ length: 85 }, (_x, k) => ({ hz: middleHz - 4200 + 100 * k, db: db - 19.29 }))),
  )

const lower = (found: Awaited<ReturnType<typeof analysed>>) =>
  found.adjacent!.channels.find(({ side, step }) => side === 'lower' && step === 1)!

describe('what a receiver does to a recording, against waves in closed form', () => {
  it('an image 35 dB down in the neighbouring channel is seen, taken off, and what may be left is a bound', async () => {
    // x = s + a·s*: a of −35 dB, and a neighbour of truly −65.1 dB (−8 dB of full scale is the carrier).
    const clean = recorded(2, -70, together(fmWave(ONE_TONE), neighbour(6250 - 12_500, -65.1 - 7.96)))
    const seen = throughReceiver(clean, { image: [10 ** (-35 / 20) * 0.6, 10 ** (-35 / 20) * 0.8] })
    expect(Math.abs(lower(await analysed(seen, RATE, { blind: true })).ratioDb + 35)).toBeLessThan(0.5)
    const found = await analysed(seen, RATE)
    expect(found.insight!.image).toMatchObject({ kind: 'taken-off' })
    expect((found.insight!.image as { seenDb: number }).seenDb).toBeCloseTo(-35, 1)
    expect(Math.abs(lower(found).ratioDb + 65.1)).toBeLessThan(0.7)
    expect(lower(found)).toMatchObject({ isUpperBound: true, filledBy: 'image' })
    expect(found.faults).toContainEqual(expect.objectContaining({ kind: 'image-taken-off' }))
  })

  it('an image inside the channel filter does not swing the deviation', async () => {
    const clean = recorded(2, -60, fmWave({ ...ONE_TONE, offsetHz: 2000 }))
    const seen = throughReceiver(clean, { image: [-0.06, 0.08] })
    const blind = (await analysed(seen, RATE, { blind: true })).deviation!
    expect(blind.halfPeakToPeakHz).toBeGreaterThan(1700)
    const { deviation, insight } = await analysed(seen, RATE)
    expect((insight!.image as { seenDb: number }).seenDb).toBeCloseTo(-20, 1)
    expect(Math.abs(deviation!.halfPeakToPeakHz / 1500 - 1)).toBeLessThan(0.005)
  })

  it('a receiver without an image is not put right, and says how low it is', async () => {
    const clean = recorded(2, -50, fmWave(ONE_TONE))
    const { insight } = await analysed(clean, RATE)
    expect(insight!.image.kind).toBe('below')
    expect(insight!.image.leftDb).toBeLessThan(-50)
    expect(insight!.correction.image).toEqual({ re: 0, im: 0 })
  })

  it('two tones of SSB beside the middle show their image too; in the middle nothing can tell', async () => {
    const twoTones = (offsetHz: number) =>
      recorded(
        3,
        -70,
        linesWave([
          { hz: offsetHz + 700, db: -14 },
          { hz: offsetHz + 1900, db: -14 },
        ]),
      )
    const image: [number, number] = [0.01, 0]
    const beside = await analysed(throughReceiver(twoTones(20_000), { image }), RATE)
    expect(beside.insight!.image).toMatchObject({ kind: 'taken-off' })
    expect((beside.insight!.image as { seenDb: number }).seenDb).toBeCloseTo(-40, 0)
    const amid = await analysed(throughReceiver(twoTones(0), { image }), RATE)
    expect(amid.insight!.image).toEqual({ kind: 'unknown', leftDb: -30 })
    expect(amid.faults).toContainEqual({ kind: 'image-unknown', assumedDb: -30 })
  })

  it('a spike in the middle is never the carrier, wherever the carrier stands', async () => {
    const spike: [number, number] = [0.2, -0.15]
    const far = recorded(2, -60, fmWave({ ...ONE_TONE, amplitude: 0.02, offsetHz: 14_000 }))
    const found = await analysed(throughReceiver(far, { spike }), RATE)
    expect(Math.abs(found.deviation!.carrierHz - 14_000)).toBeLessThan(1)
    expect(Math.abs(found.deviation!.halfPeakToPeakHz / 1500 - 1)).toBeLessThan(0.01)
    expect(found.insight!.spikeDb).toBeCloseTo(20 * Math.log10(0.25), 1)
    expect(found.peaks.every(({ frequencyHz }) => Math.abs(frequencyHz) > 500)).toBe(true)
    // Inside the channel, 14 dB under the carrier: taken off, where it would swing the carrier by 400 Hz.
    const near = recorded(2, -60, fmWave({ ...ONE_TONE, offsetHz: 2000 }))
    const seen = throughReceiver(near, { spike: [0.08, 0] })
    const blind = (await analysed(seen, RATE, { blind: true })).deviation!
    expect(blind.halfPeakToPeakHz).toBeGreaterThan(1700)
    const put = (await analysed(seen, RATE)).deviation!
    expect(Math.abs(put.halfPeakToPeakHz / 1500 - 1)).toBeLessThan(0.005)
  })

  it('a weak signal in noise with a stronger spike is found, and a carrier in the middle stays one, said', async () => {
    const weak = recorded(2, -30, fmWave({ ...ONE_TONE, amplitude: 0.03, offsetHz: -15_000 }))
    const found = await analysed(throughReceiver(weak, { spike: [0.1, 0.1] }), RATE)
    expect(Math.abs(found.insight!.signalHz! + 15_000)).toBeLessThan(1600)
    const amid = await analysed(recorded(2, -60, fmWave({ ...ONE_TONE, offsetHz: 0.4 })), RATE)
    expect(amid.faults).toContainEqual(expect.objectContaining({ kind: 'carrier-at-middle' }))
    expect(Math.abs(amid.deviation!.halfPeakToPeakHz / 1500 - 1)).toBeLessThan(0.005)
  })
})

describe('a clipped recording', () => {
  const TONES = [
    { hz: 5000, db: -8 },
    { hz: 6200, db: -8 },
    { hz: 3800, db: -43 },
    { hz: 7400, db: -43 },
  ]

  it('of two tones with products 35 dB down says so, and gives a bound', async () => {
    const clean = recorded(2, -80, linesWave(TONES))
    const plain = await analysed(clean, RATE, { twoTone: true })
    expect(plain.twoTone!.worst[3]).toMatchObject({ isUpperBound: false })
    expect(plain.twoTone!.worst[3]!.belowToneDb).toBeCloseTo(35, 1)
    expect(plain.insight!.clippedShare).toBe(0)
    const cut = throughReceiver(clean, { rail: 0.5 })
    const found = await analysed(cut, RATE, { twoTone: true })
    expect(found.twoTone!.worst[3]!.belowToneDb).toBeLessThan(25)
    expect(found.twoTone!.worst[3]!.isUpperBound).toBe(true)
    const share = cut.filter(value => Math.abs(value) === 0.5).length / cut.length
    expect(found.insight!.clippedShare).toBeGreaterThan(0.98 * share)
    expect(found.insight!.clippedShare).toBeLessThan(1.05 * share)
    expect(found.faults[0]).toMatchObject({ kind: 'clipped' })
  })

  it('of a carrier: everything beside it is a bound; coarse steps and an even tone are no clipping', async () => {
    const clean = recorded(2, -70, fmWave(ONE_TONE))
    const cut = await analysed(throughReceiver(clean, { rail: 0.35 }), RATE)
    expect(cut.adjacent!.channels.every(({ filledBy }) => filledBy === 'clipping')).toBe(true)
    expect(cut.occupied!.isUpperBound).toBe(true)
    expect(cut.deviation!).toMatchObject({ isUpperBound: true, boundBy: 'clipping' })
    expect(cut.deviation!.words).toContain('The recording is clipped: at most this')
    const coarse = await analysed(throughReceiver(clean, { steps: 127 }), RATE)
    expect(coarse.insight!.clippedShare).toBe(0)
    const even = recorded(1, null, fmWave({ amplitude: 0.5, offsetHz: RATE / 12 }))
    expect((await analysed(even, RATE)).insight!.clippedShare).toBe(0)
  })
})

describe('what stands beside the channel', () => {
  it('a neighbour 20 dB down does not swing the deviation', async () => {
    for (const offsetHz of [12_500, -12_500]) {
      const both = recorded(
        2,
        -60,
        together(
          fmWave(ONE_TONE),
          fmWave({ amplitude: 0.04, offsetHz: 6250 + offsetHz, toneHz: 700, deviationHz: 1500 }),
        ),
      )
      const { deviation } = await analysed(both, RATE)
      expect(Math.abs(deviation!.halfPeakToPeakHz / 1500 - 1)).toBeLessThan(0.01)
    }
  })

  it('a radio that swings twice as far as it may is still read, a few per cent off', async () => {
    const wide = recorded(2, -60, fmWave({ ...ONE_TONE, deviationHz: 5000 }))
    const { deviation } = await analysed(wide, RATE)
    const wrong = Math.abs(deviation!.halfPeakToPeakHz - 5000)
    expect(wrong).toBeLessThan(2 * deviation!.standardUncertaintyHz)
    expect(wrong).toBeGreaterThan(50)
    expect(deviation!.standardUncertaintyHz).toBeLessThan(250)
  })

  it('the recording’s own noise is taken off a neighbour, and stays a bound below twice itself', async () => {
    // Noise of −50 dB in 96 kHz is −60.5 dB in 8.5 kHz, −52.6 dB under the carrier of −7.96.
    const read = async (neighbourDb: number) =>
      lower(
        await analysed(
          recorded(4, -50, together(fmWave(ONE_TONE), neighbour(6250 - 12_500, neighbourDb - 7.96))),
          RATE,
          { phaseNoiseDbcPerHz: -150 },
        ),
      )
    const above = await read(-49)
    expect(above.isUpperBound).toBe(false)
    expect(Math.abs(above.ratioDb + 49)).toBeLessThan(0.4)
    expect(Math.abs(above.noiseTakenOffDb - 10 * Math.log10(1 + 10 ** ((-52.57 + 49) / 10)))).toBeLessThan(
      0.1,
    )
    expect(await read(-58)).toMatchObject({ isUpperBound: true, filledBy: 'noise', noiseTakenOffDb: 0 })
  })

  it('the receiver’s phase noise stays open up to what it may be, and fills the channel from there on', async () => {
    const wave = together(fmWave(ONE_TONE), neighbour(6250 - 12_500, -50 - 7.96))
    const read = async (phaseNoiseDbcPerHz: number) =>
      lower(await analysed(recorded(2, -90, wave), RATE, { phaseNoiseDbcPerHz }))
    // −95 dBc/Hz at 10 kHz is −96.94 at 12.5 kHz, and −57.6 dB in 8.5 kHz: 0.79 dB of −50.
    expect((await read(-95)).receiverAddsDb).toBeCloseTo(-10 * Math.log10(1 - 10 ** -0.764), 1)
    expect((await read(-95)).isUpperBound).toBe(false)
    expect((await read(-85)).filledBy).toBe('phase-noise')
    expect((await read(-130)).receiverAddsDb).toBeLessThan(0.01)
  })

  it('a chirp at key-down and the time before it are cut out of the steady power, and are a figure of their own', async () => {
    // Up at 0.7 s; for 40 ms the carrier comes in from 12.5 kHz below.
    const away = (s: number) => Math.max(0, 1 - (s - 0.7) / 0.04)
    let phase = 0
    const chirp = recorded(3, -75, s => {
      if (s < 0.7) return [0, 0]
      phase += (2 * Math.PI * (6250 - 12_500 * away(s) + 1500 * Math.sin(2 * Math.PI * 1000 * s))) / RATE
      return [0.4 * Math.cos(phase), 0.4 * Math.sin(phase)]
    })
    const steady = neighbour(6250 - 12_500, -60 - 7.96)
    const both = chirp.map((value, k) => value + steady(0, k >> 1)[k % 2]!)
    expect(lower(await analysed(both, RATE, { blind: true })).ratioDb).toBeGreaterThan(-30)
    const found = await analysed(both, RATE, { phaseNoiseDbcPerHz: -150 })
    expect(Math.abs(lower(found).ratioDb + 60)).toBeLessThan(0.7)
    const transient = found.transient!.channels.find(({ side, step }) => side === 'lower' && step === 1)!
    // Wholly in the neighbour’s filter for some milliseconds: all but the carrier’s own power.
    expect(transient.ratioDb).toBeGreaterThan(-3)
    expect(transient.ratioDb).toBeLessThan(0.5)
    expect(found.faults).toContainEqual(expect.objectContaining({ kind: 'cut-out' }))
    expect(found.deviation!.halfPeakToPeakHz).toBeLessThan(1530)
  })
})

describe('noise behind the discriminator', () => {
  it('is as much as the demodulated signal has, for a wide and a narrow channel', async () => {
    for (const channelSpacingHz of [12_500, 25_000]) {
      const { deviation } = await analysed(
        recorded(4, -33, fmWave({ amplitude: 0.4, offsetHz: 6250 })),
        RATE,
        { channelSpacingHz },
      )
      // What is left of the rms with the noise taken off is little: both come to the same.
      expect(deviation!.method).toBe('extremes')
      expect(deviation!.rmsHz).toBeLessThan(0.35 * deviation!.noiseRmsHz)
      expect(deviation!.halfPeakToPeakHz).toBeLessThan(deviation!.noiseAddsHz)
    }
  })

  it('the range of a voice at 20 dB of C/N holds its truth', async () => {
    const random = evenNumbers(21)
    let held = 0
    const TRIALS = 12
    for (let trial = 0; trial < TRIALS; trial++) {
      const tones = [430, 710, 1130, 1570, 2210].map(hz => ({
        hz: hz * (0.95 + 0.1 * random()),
        swingHz: 200 + 400 * random(),
        from: 2 * Math.PI * random(),
      }))
      const swing = (s: number) =>
        (0.6 + 0.4 * Math.sin(2 * Math.PI * 3 * s)) *
        tones.reduce((sum, { hz, swingHz, from }) => sum + swingHz * Math.sin(2 * Math.PI * hz * s + from), 0)
      let phase = 0
      let truth = 0
      // 18 of 96 kHz pass: 7.3 dB less noise than in the whole width, −8 dB is the carrier.
      const samples = recorded(1, -20, s => {
        truth = Math.max(truth, Math.abs(swing(s)))
        phase += (2 * Math.PI * (6250 + swing(s))) / RATE
        return [0.4 * Math.cos(phase), 0.4 * Math.sin(phase)]
      })
      const { deviation: d } = await analysed(samples, RATE)
      const larger = Math.max(d!.plusHz, d!.minusHz)
      if (truth <= larger + 2 && truth >= larger - d!.noiseAddsHz - 2) held += 1
    }
    expect(held).toBeGreaterThanOrEqual(11)
  })
})
