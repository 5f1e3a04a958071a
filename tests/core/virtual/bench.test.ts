import { describe, expect, it } from 'vitest'
import { chainLossAt, newChain, newPart, newPowerMeter, newSpectrumAnalyser } from '#core/chain'
import { phrasebooks, speak } from '#core/link'
import { NoAnswerError, scpiInstrument, virtualBench, virtualLine, type VirtualSetting } from '#core/virtual'

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
