import { describe, expect, it } from 'vitest'
import { ASSUMED_PHASE_NOISE_DBC, phaseNoiseAt } from '#core/chain'
import { channelWidthHz, criteriaOf, microvolts, noiseCeiling, testDeviationHz } from '#core/hearing'
import { dbmFromDbuvEmf } from '#core/quantity'
import { filteredPower, portableFft, readSinad, SINAD_DEFAULTS } from '#core/signal'
import { NEIGHBOUR_ID } from '#core/station'
import { carriersOf, receivedAmAudio, receivedAudio, type SimulatedFmReceiver } from '#core/virtual'
import { resultOf, slot } from '../support/stations'
import { evenNumbers } from '../support/audio'
import { generator, hearingReview, pointsAround, turnedTo, withReadings } from '../support/hearing'

describe('µV, pd and emf', () => {
  // V = √(P·R) across 50 Ω; behind the generator's own 50 Ω twice that. Figures worked by hand.
  it.each([
    [-120.97, 0.2, 0.4],
    [-116.12, 0.35, 0.7],
    [-107, 0.9988, 1.9976],
    [-93, 5.006, 10.012],
    [-73, 50.06, 100.12],
  ])('%d dBm is %d µV pd and %d µV emf', (levelDbm, pd, emf) => {
    const { pdUv, emfUv } = microvolts(levelDbm)
    expect(pdUv / pd).toBeCloseTo(1, 2)
    expect(emfUv / emf).toBeCloseTo(1, 2)
  })

  it('+6 dBµV emf is −107 dBm (EN 300 086, from memory)', () => {
    expect(dbmFromDbuvEmf(6)).toBeCloseTo(-107, 1)
  })
})

describe('procedures by their arithmetic', () => {
  const quiet = generator({ id: 'gen2', phaseNoise: [{ offsetHz: 1e3, dbcPerHz: -140 }], referencePpm: 0.01 })
  const at = (slotId: string, interfererDbm: number, wantedDbm: number) => {
    const reading = turnedTo(interfererDbm, { stationId: NEIGHBOUR_ID, slot: slotId, wantedDbm }, 'gen2')
    const context = withReadings(hearingReview({ second: quiet }), [
      ...pointsAround(-119, [-4, -1, 1, 5]),
      reading,
    ])
    return resultOf(NEIGHBOUR_ID, context)
  }

  it('TIA-603 (from memory): interferer −49 dBm at the socket, 12 dB level −119 dBm, rejection 70 dB', () => {
    expect(slot(at('tia-upper', -39, -106), 'rejection-tia').found!.value).toBeCloseTo(70, 0)
  })

  it('EN 300 086 (from memory): wanted −107 dBm at the socket, interferer −47 dBm, selectivity 60 dB', () => {
    expect(slot(at('en-upper', -37, -97), 'rejection-en').found!.value).toBeCloseTo(60, 6)
  })

  it('modulation 60 % of full deviation, 12 dB SINAD first (TIA-603, from memory)', () => {
    expect(testDeviationHz(25_000)).toBe(3000)
    expect(criteriaOf({ mode: 'FM' })[0]).toMatchObject({ id: 'sinad-12', db: 12 })
    expect(criteriaOf({ mode: 'AM' })[0]).toMatchObject({ id: 'snr-10', db: 10 })
  })
})

describe('the noise of a generator (common practice, no source)', () => {
  it('−100 dBc/Hz is −59 dBc in a wide channel: L + 41 dB, + 39 narrow (receivers.md, section 5)', () => {
    expect(-100 + 10 * Math.log10(channelWidthHz(25_000))).toBeCloseTo(-59.2, 1)
    expect(10 * Math.log10(channelWidthHz(25_000))).toBeCloseTo(41, 0)
    expect(10 * Math.log10(channelWidthHz(12_500))).toBeCloseTo(39, 0)
  })

  it('no rejection above about 57 dB can be seen with it', () => {
    const { ceilingDb } = noiseCeiling(-100, 25_000, { ratioDb: 50, aboveDb: 3, carrierToNoiseDb: 5 })
    expect(ceilingDb).toBeCloseTo(57.2, 1)
  })

  it('a pocket generator is taken as −95 dBc/Hz at 20 kHz, a laboratory one as −120, both assumed', () => {
    expect(ASSUMED_PHASE_NOISE_DBC).toEqual({ pocket: -95, laboratory: -120 })
    expect(phaseNoiseAt({ phaseNoise: [], build: 'pocket' }, 20e3)).toEqual({ dbcPerHz: -95, assumed: true })
    const table = [
      { offsetHz: 10e3, dbcPerHz: -110 },
      { offsetHz: 100e3, dbcPerHz: -130 },
    ]
    // Half way in log offset is half way in dB.
    const between = phaseNoiseAt({ phaseNoise: table, build: 'pocket' }, Math.sqrt(10e3 * 100e3))
    expect(between.dbcPerHz).toBeCloseTo(-120, 9)
    expect(phaseNoiseAt({ phaseNoise: table, build: 'pocket' }, 1e6).dbcPerHz).toBe(-130)
  })
})

describe('a simulated FM receiver against physics', () => {
  const wide: SimulatedFmReceiver = {
    noiseFigureDb: 6,
    passHz: 7000,
    stopHz: 11_000,
    offHz: 0,
    distortion: 0.01,
    deEmphasisS: 750e-6,
  }
  const sinadAt = (levelDbm: number, receiver = wide, seconds = 2) => {
    const audio = receivedAudio(
      receiver,
      [{ levelDbm, offsetHz: 0, toneHz: 1000, deviationHz: 3000, phaseNoiseDbc: -200 }],
      { sampleRateHz: 32_000, seconds, random: evenNumbers(4) },
    )
    return readSinad(audio, 32_000, SINAD_DEFAULTS, portableFft).parts!.sinadDb
  }

  it('−174 dBm/Hz + 10·log10(12 kHz) + 6 dB + about 5 dB: 12 dB SINAD near −122 dBm (receivers.md, section 8)', () => {
    expect(sinadAt(-123.5)).toBeLessThan(12)
    expect(sinadAt(-118.5)).toBeGreaterThan(12)
  })

  it('above the threshold it rises decibel for decibel', () => {
    expect(sinadAt(-108) - sinadAt(-112)).toBeGreaterThan(3)
    expect(sinadAt(-108) - sinadAt(-112)).toBeLessThan(4.6)
  })

  it('3 dB more noise figure ask for 3 dB more of level', () => {
    expect(sinadAt(-109, { ...wide, noiseFigureDb: 9 })).toBeCloseTo(sinadAt(-112), 0)
  })

  it('off frequency it hears worse, on either side', () => {
    const off = (offHz: number) => sinadAt(-119, { ...wide, offHz })
    expect(off(5000)).toBeLessThan(off(0) - 2)
    expect(off(-5000)).toBeLessThan(off(0) - 2)
  })
})

describe('a simulated AM receiver against physics', () => {
  it('(S+N)/N rises decibel for decibel, and 10 dB ask for S/N of 9.5 dB: the closed form', () => {
    const receiver = { noiseFigureDb: 10, passHz: 4000, stopHz: 7000 }
    const powerOf = (levelDbm: number, depth: number) => {
      const audio = receivedAmAudio(
        receiver,
        { levelDbm, toneHz: 1000, depth },
        { sampleRateHz: 32_000, seconds: 4, random: evenNumbers(9) },
      )
      return filteredPower(audio, 32_000, SINAD_DEFAULTS.weighting, portableFft).power
    }
    const ratioAt = (levelDbm: number) => 10 * Math.log10(powerOf(levelDbm, 0.3) / powerOf(levelDbm, 0))
    // The tone is m²/2 of the carrier; of the noise in both sidebands half lies in phase: S/N = m²·C/(2·N0·B).
    const levelDbm = -100
    const noiseDbm = -173.975 + 10 + 10 * Math.log10(2 * 2700)
    const signalToNoise = 10 ** ((levelDbm + 10 * Math.log10(0.3 ** 2) - noiseDbm) / 10)
    expect(ratioAt(levelDbm)).toBeCloseTo(10 * Math.log10(1 + signalToNoise), 0)
    expect(ratioAt(-94) - ratioAt(-100)).toBeGreaterThan(5)
  })
})

describe('a generator whose faults are known', () => {
  it('with the cable off only the leak is left, and SINAD stays: the leak check finds it', () => {
    const leaking = { levelErrorDb: 0, phaseNoiseDbc: -140, leakDbm: -113 }
    const tight = { ...leaking, leakDbm: null }
    const setting = { shownDbm: -125, offsetHz: 0, toneHz: 1000, deviationHz: 3000 }
    const receiver = {
      noiseFigureDb: 6,
      passHz: 7000,
      stopHz: 11_000,
      offHz: 0,
      distortion: 0,
      deEmphasisS: 750e-6,
    }
    const sinadOf = (carriers: ReturnType<typeof carriersOf>) =>
      readSinad(
        receivedAudio(receiver, carriers, { sampleRateHz: 32_000, seconds: 1, random: evenNumbers(2) }),
        32_000,
        SINAD_DEFAULTS,
        portableFft,
      ).parts?.sinadDb ?? 0
    expect(carriersOf(tight, setting, null)).toEqual([])
    expect(carriersOf(tight, setting, 0.6)[0]!.levelDbm).toBeCloseTo(-125.6, 9)
    expect(sinadOf(carriersOf(leaking, setting, null))).toBeGreaterThan(15)
    expect(sinadOf(carriersOf(tight, setting, 0.6))).toBeLessThan(8)
  })
})
