import { describe, expect, it } from 'vitest'
import {
  chainLossAt,
  newAudioMeter,
  newChain,
  newLaboratoryGenerator,
  newPart,
  newPowerMeter,
  newSpectrumAnalyser,
} from '#core/chain'
import { phrasebooks, pointsFor, readTrace, speak } from '#core/link'
import {
  NoAnswerError,
  ownHarmonicDbm,
  scpiInstrument,
  virtualBench,
  virtualLine,
  type VirtualSetting,
} from '#core/virtual'

const meterBook = phrasebooks.find(({ kind }) => kind === 'power-meter')!
const analyserBook = phrasebooks.find(({ kind }) => kind === 'spectrum-analyser')!
const text = (answer: Uint8Array | null) => answer && String.fromCharCode(...answer)

const pad = (lossDb: number) => ({
  ...newPart('pad', 'pad'),
  loss: { kind: 'figure' as const, lossDb },
  vswr: 1,
  lossUncertainty: { ...newPart('pad', 'pad').lossUncertainty, halfWidthDb: 0 },
})
const keyed = { carrierHz: 146.52e6, claimedW: 5 }

describe('a line to an instrument', () => {
  it('tells at once of a question nobody answers', async () => {
    const mute = scpiInstrument({ identity: 'A,B,C,D', reset: () => undefined, commands: {} })
    await expect(virtualLine(mute).query('TEAPOT?', 'line')).rejects.toThrow(NoAnswerError)
  })
})

describe('an instrument of commands', () => {
  const instrument = () =>
    scpiInstrument({
      identity: 'A,B,C,D',
      reset: () => undefined,
      commands: { 'MEASure:POWer?': () => '1.5' },
    })

  it('knows who it is, and answers several questions of one line behind each other', () => {
    expect(text(instrument().receive('*IDN?;MEAS:POW?'))).toBe('A,B,C,D;1.5\n')
    expect(instrument().receive('*WAI')).toBeNull()
  })

  it('keeps what it did not understand in its queue, in order, and empties it when asked', () => {
    const one = instrument()
    one.receive('TEAPOT')
    one.receive('MEAS:POW? "open')
    expect(text(one.receive('SYST:ERR?'))).toBe('-113,"Undefined header"\n')
    expect(text(one.receive('SYST:ERR?'))).toBe('-102,"Syntax error"\n')
    expect(text(one.receive('SYST:ERR?'))).toBe('0,"No error"\n')
  })

  it('says that its queue ran over', () => {
    const one = instrument()
    for (let i = 0; i < 30; i++) one.receive('TEAPOT')
    const errors = Array.from({ length: 20 }, () => text(one.receive('SYST:ERR?')))
    expect(errors.at(-1)).toBe('-350,"Queue overflow"\n')
    expect(text(one.receive('SYST:ERR?'))).toBe('0,"No error"\n')
  })
})

describe('a power meter of the virtual bench', () => {
  const meter = { ...newPowerMeter('m'), accuracyPercent: 0, resolution: 0, vswr: 1 }
  const setting = (more: Partial<VirtualSetting> = {}): VirtualSetting => ({
    chain: { ...newChain('c', 'Chain', 'm'), parts: [pad(20)] },
    instrument: meter,
    keyed,
    ...more,
  })

  it('shows what the radio makes less what the pad loses, within what the radio’s own match leaves', async () => {
    const bench = virtualBench(7)
    const line = virtualLine(bench.instrument('a', () => setting()))
    const result = await speak(line, {
      book: meterBook,
      name: 'read-power',
      values: { frequencyHz: keyed.carrierHz },
    })
    expect(result.is).toBe('heard')
    const shown = result.is === 'heard' ? result.heard.values[0]! : Number.NaN
    // Everything else is matched: 20 dB are left, to a thousandth.
    expect(bench.radio('a').carrierDbm(keyed) - 20).toBeCloseTo(shown, 2)
  })

  it('adds the offset that was typed into it', async () => {
    const bench = virtualBench(7)
    const read = async (offsetDb: number) => {
      const chain = { ...setting().chain, offsetOnInstrumentDb: offsetDb }
      const result = await speak(virtualLine(bench.instrument('a', () => setting({ chain }))), {
        ...{ book: meterBook, name: 'read-power' as const },
        values: { frequencyHz: keyed.carrierHz },
      })
      return result.is === 'heard' ? result.heard.values[0]! : Number.NaN
    }
    expect((await read(20)) - (await read(0))).toBeCloseTo(20, 3)
  })

  it('shows next to nothing while nobody is keyed', async () => {
    const line = virtualLine(virtualBench(7).instrument('a', () => setting({ keyed: null })))
    const result = await speak(line, { book: meterBook, name: 'read-power', values: { frequencyHz: 1e8 } })
    expect(result).toMatchObject({ is: 'heard', heard: { values: [-90] } })
  })

  it('is the same bench by the same seed, and another by another', () => {
    const dbm = (seed: number, id: string) => virtualBench(seed).radio(id).carrierDbm(keyed)
    expect(dbm(7, 'a')).toBe(dbm(7, 'a'))
    expect(dbm(7, 'a')).not.toBe(dbm(8, 'a'))
    expect(dbm(7, 'a')).not.toBe(dbm(7, 'b'))
  })
})

describe('a radio that is kept keyed', () => {
  it('loses less than a decibel in five minutes, most of it in the first two', () => {
    for (const seed of [1, 2, 3, 4, 5]) {
      const at = (forS: number) =>
        virtualBench(seed)
          .radio('a')
          .carrierDbm({ ...keyed, forS })
      const [start, middle, end] = [at(0), at(120), at(300)]
      expect(start - end).toBeGreaterThan(0.1)
      expect(start - end).toBeLessThan(1)
      expect(start - middle).toBeGreaterThan((start - end) / 2)
    }
  })
})

describe('what else a radio does', () => {
  const radios = Array.from({ length: 60 }, (_unused, i) => virtualBench(i).radio('a'))

  it('has a spur in some radios, far from every harmonic and below the carrier', () => {
    const spurs = radios.flatMap(radio => radio.spurs(keyed).map(spur => ({ radio, spur })))
    expect(spurs.length).toBeGreaterThan(8)
    expect(spurs.length).toBeLessThan(35)
    for (const { radio, spur } of spurs) {
      expect(
        Math.abs(spur.frequencyHz / keyed.carrierHz - Math.round(spur.frequencyHz / keyed.carrierHz)),
      ).toBeGreaterThan(0.05)
      expect(spur.levelDbm).toBeLessThan(radio.carrierDbm(keyed) - 60)
    }
  })

  it('lights its bar by its power, unless the bar is painted: that one knows no power', () => {
    const low = { ...keyed, forS: 0 }
    const weak = (radio: (typeof radios)[number]) => radio.carrierDbm(low) < 36
    const honest = radios.filter(radio => radio.barOfTen(low) < 10)
    expect(honest.length).toBeGreaterThan(20)
    for (const radio of honest) {
      const share = 10 ** ((radio.carrierDbm(low) - 36.9897) / 10)
      expect(Math.abs(radio.barOfTen(low) - 10 * share)).toBeLessThanOrEqual(0.5)
    }
    // Full although a fifth of the power is missing.
    expect(radios.some(radio => weak(radio) && radio.barOfTen(low) === 10)).toBe(true)
  })
})

describe('an analyser of the virtual bench', () => {
  const analyser = {
    ...newSpectrumAnalyser('an'),
    amplitudeAccuracyDb: 0,
    flatnessDb: 0,
    resolution: 0,
    vswr: 1,
  }
  const chain = { ...newChain('c', 'Chain', 'an'), parts: [pad(50)] }
  const plugged = (more: Partial<VirtualSetting> = {}): VirtualSetting => ({
    chain,
    instrument: analyser,
    keyed,
    ...more,
  })
  const at = (frequencyHz: number) => ({
    ...{ book: analyserBook, name: 'read-level-at' as const },
    values: { frequencyHz, spanHz: 100e3, bandwidthHz: 10e3 },
  })

  it('shows each harmonic less the loss of the chain, and never less than its noise', async () => {
    const bench = virtualBench(3)
    const line = virtualLine(bench.instrument('a', () => plugged()))
    for (const n of [1, 2, 3, 4]) {
      const result = await speak(line, at(n * keyed.carrierHz))
      const shown = result.is === 'heard' ? result.heard.values[0]! : Number.NaN
      const loss = chainLossAt(chain, analyser, n * keyed.carrierHz)
      const input = bench.radio('a').harmonicDbm(keyed, n) - (loss.known ? loss.lossDb : 0)
      const floor = analyser.floorDbm - analyser.floorDoubtDb
      expect(shown).toBeGreaterThanOrEqual(Math.max(input, floor) - 0.01)
      if (input > analyser.floorDbm + 20) expect(shown).toBeCloseTo(input, 1)
    }
  })

  it('refuses a frequency beyond its range by its error queue', async () => {
    const line = virtualLine(virtualBench(3).instrument('a', () => plugged()))
    expect(await speak(line, at(analyser.toHz * 2))).toMatchObject({ is: 'error', error: { code: -222 } })
  })

  it('is damaged by what its input does not bear, says so, and stays so', async () => {
    const bench = virtualBench(3)
    let setting = plugged({ chain: { ...chain, parts: [] } })
    const line = virtualLine(bench.instrument('a', () => setting))
    expect(await speak(line, at(keyed.carrierHz))).toMatchObject({ is: 'error', error: { code: -240 } })
    expect(bench.damage()).toHaveLength(1)
    expect(bench.damage()[0]).toContain('bears')
    setting = plugged()
    expect(await speak(line, at(keyed.carrierHz))).toMatchObject({ is: 'error', error: { code: -240 } })
    expect(bench.damage()).toHaveLength(1)
  })
})

describe('a sweep of the virtual analyser', () => {
  const own = {
    ...newSpectrumAnalyser('an'),
    ...{ amplitudeAccuracyDb: 0, flatnessDb: 0, floorDoubtDb: 0, resolution: 0, vswr: 1, overloadDbm: 20 },
  }
  const chain = { ...newChain('c', 'Chain', 'an'), parts: [pad(50)] }
  const sweep = async (seed: number, instrument = own) => {
    const bench = virtualBench(seed)
    const line = virtualLine(bench.instrument('a', () => ({ chain, instrument, keyed })))
    const result = await readTrace(line, { book: analyserBook, instrument, fromHz: 0, toHz: 500e6 })
    if (result.is !== 'read') throw new Error(result.why)
    return { bench, ...result.trace }
  }

  it('has its peaks where the radio has its lines, as strong as the marker shows them', async () => {
    const { bench, frequenciesHz, levelsDbm } = await sweep(3)
    const around = (hz: number) =>
      Math.max(...levelsDbm.filter((_level, i) => Math.abs(frequenciesHz[i]! - hz) < 200e3))
    const truth = bench.radio('a')
    expect(around(keyed.carrierHz)).toBeCloseTo(truth.carrierDbm(keyed) - 50, 0)
    expect(around(2 * keyed.carrierHz)).toBeGreaterThanOrEqual(truth.harmonicDbm(keyed, 2) - 51)
    expect(frequenciesHz[0]).toBe(0)
    expect(frequenciesHz.at(-1)).toBeCloseTo(500e6, 0)
  })

  it('has noise of the stated floor: the mean power of Gaussian noise, in any bandwidth', async () => {
    const meanDbm = (levels: Float64Array) =>
      10 * Math.log10(levels.reduce((sum, level) => sum + 10 ** (level / 10), 0) / levels.length)
    const empty = ({ levelsDbm, frequenciesHz }: Awaited<ReturnType<typeof sweep>>) =>
      levelsDbm.filter((_level, i) => frequenciesHz[i]! > 320e6 && frequenciesHz[i]! < 420e6)
    const stated = await sweep(3)
    expect(meanDbm(empty(stated))).toBeCloseTo(own.floorDbm, 0)
    // Ten times the bandwidth lets ten times the noise through.
    const settings = virtualBench(3).instrument('a', () => ({ chain, instrument: own, keyed: null }))
    settings.receive(`BAND ${10 * own.resolutionBandwidthHz};:FREQ:CENT 370e6;SPAN 100e6;:SWE:POIN 4001`)
    const wide = text(settings.receive('TRAC? TRACE1'))!.split(',').map(Number)
    expect(meanDbm(Float64Array.from(wide))).toBeCloseTo(own.floorDbm + 10, 0)
  })

  it('asks for so many points that no line falls between two of them', () => {
    expect(pointsFor(1e6, 10e3)).toBe(201)
    expect(pointsFor(1e9, 10e3)).toBe(100_001)
    expect(pointsFor(1e3, 10e3)).toBe(101)
  })
})

describe('harmonics an analyser makes itself (handbook, section 4: the pad test)', () => {
  it('fall by 20 dB, the third by 30, with 10 dB more in front: 10 and 20 more than what is real', () => {
    for (const [n, fallsDb] of [
      [2, 20],
      [3, 30],
    ] as const)
      expect(ownHarmonicDbm(n, 0, -20)! - ownHarmonicDbm(n, -10, -20)!).toBeCloseTo(fallsDb, 9)
    expect(ownHarmonicDbm(4, 0, -20)).toBeNull()
  })
})

describe('a generator of the virtual bench', () => {
  const generator = { ...newLaboratoryGenerator('g'), reverseW: 1, levelAccuracyDb: 0, referencePpm: 0 }
  const plug = { chain: { ...newChain('c', 'Chain', 'g'), parts: [pad(10)] }, instrument: generator }

  it('is off and at its lowest until it is told, and keeps to its ends', () => {
    const stand = virtualBench(1).stand('a', () => ({ plugs: { generator: plug }, radio: { is: 'off' } }))
    const instrument = stand.instrument('generator', 'signal-generator')
    expect(text(instrument.receive('OUTP?;:POW?'))).toBe(
      `0;${generator.lowestDbm.toExponential(4).toUpperCase()}\n`,
    )
    instrument.receive(`POW ${generator.highestDbm + 1}`)
    expect(text(instrument.receive('SYST:ERR?'))).toContain('-222')
    instrument.receive('POW MAX;:OUTP ON')
    expect(Number(text(instrument.receive('POW?')))).toBe(generator.highestDbm)
    instrument.receive('*RST')
    expect(text(instrument.receive('OUTP?'))).toBe('0\n')
  })

  it('does not survive a transmitter above what it bears, and then gives nothing', () => {
    const bench = virtualBench(1)
    let isKeyed = false
    const stand = bench.stand('a', () => ({
      plugs: { generator: plug, audio: { chain: newChain('s', 'S', 'm'), instrument: newAudioMeter('m') } },
      radio: isKeyed
        ? { is: 'keyed', keyed: { carrierHz: 146.52e6, claimedW: 5 } }
        : { is: 'hears', channelHz: 146.52e6, spacingHz: 12_500, squelchIsOpen: true },
    }))
    const instrument = stand.instrument('generator', 'signal-generator')
    const audio = stand.instrument('audio', 'audio-analyser')
    const sinad = () => Number(text(audio.receive('MEAS:SIN?')))
    instrument.receive('FREQ 146.52 MHZ;:POW -90;:OUTP ON')
    expect(sinad()).toBeGreaterThan(25)
    expect(bench.damage()).toEqual([])
    isKeyed = true
    sinad()
    expect(bench.damage()).toEqual([expect.stringContaining('the radio was keyed into it through “Chain”')])
    isKeyed = false
    expect(sinad()).toBeLessThan(1)
  })
})
