import { describe, expect, it } from 'vitest'
import { thinTrace, traceAtRadio, traceDoubt, tracePeaks, writeCsv } from '#core/format'
import type { TracePoints } from '#core/review'
import { analyser, chainOf, pad } from '../../support/bench'

/** A flat floor with single high points. */
function trace(stepHz: number, toHz: number, peaks: Record<number, number>, floorDbm = -90): TracePoints {
  const count = Math.floor(toHz / stepHz) + 1
  const frequenciesHz = Float64Array.from({ length: count }, (_unused, i) => i * stepHz)
  const levelsDbm = new Float64Array(count).fill(floorDbm)
  for (const [hz, dbm] of Object.entries(peaks)) levelsDbm[Math.round(Number(hz) / stepHz)] = dbm
  return { frequenciesHz, levelsDbm }
}

const INPUT = { carrierHz: 100e6, highestHarmonic: 4, resolutionBandwidthHz: 100e3, keepsHighest: false }

describe('tracePeaks', () => {
  it('finds the highest point near each harmonic and the floor', () => {
    const found = tracePeaks(trace(50e3, 500e6, { 100e6: -3, 200.05e6: -49, 300e6: -60 }), INPUT)
    expect(found.floorDbm).toBe(-90)
    expect(found.stepHz).toBe(50e3)
    expect(found.peaks.map(({ peak }) => peak?.levelDbm)).toEqual([-3, -49, -60, -90])
    expect(found.peaks.every(({ warning }) => warning === null)).toBe(true)
  })

  it('does not take a neighbour’s peak', () => {
    expect(tracePeaks(trace(50e3, 500e6, { 201e6: -20 }), INPUT).peaks[1]?.peak?.levelDbm).toBe(-90)
  })

  it('says where points lie further apart than the resolution bandwidth', () => {
    const coarse = tracePeaks(trace(1e6, 500e6, { 200e6: -49 }), INPUT).peaks[1]!
    expect(coarse).toMatchObject({ coarse: true, warning: expect.stringContaining('apart') })
    expect(tracePeaks(trace(1e6, 500e6, {}), { ...INPUT, keepsHighest: true }).peaks[1]).toMatchObject({
      coarse: false,
      warning: null,
    })
    expect(
      tracePeaks(trace(50e3, 500e6, {}), { ...INPUT, resolutionBandwidthHz: null }).peaks[1],
    ).toMatchObject({ coarse: true, warning: expect.stringContaining('not known') })
  })

  it('says where the trace ends or has a gap, and takes no peak there', () => {
    const short = tracePeaks(trace(50e3, 250e6, {}), INPUT)
    expect(short.peaks[2]).toMatchObject({ peak: null, warning: expect.stringContaining('not covered') })
    const whole = trace(50e3, 500e6, {})
    const keep = [...whole.frequenciesHz.keys()].filter(i => Math.abs(whole.frequenciesHz[i]! - 300e6) > 8e6)
    const holed = {
      frequenciesHz: Float64Array.from(keep, i => whole.frequenciesHz[i]!),
      levelsDbm: Float64Array.from(keep, i => whole.levelsDbm[i]!),
    }
    expect(tracePeaks(holed, INPUT).peaks[2]).toMatchObject({
      peak: null,
      warning: expect.stringContaining('gap'),
    })
  })

  it('bears a trace of one point, and of none', () => {
    expect(
      tracePeaks({ frequenciesHz: Float64Array.of(1e8), levelsDbm: Float64Array.of(-3) }, INPUT).peaks[1]
        ?.peak,
    ).toBeNull()
    expect(
      tracePeaks({ frequenciesHz: new Float64Array(0), levelsDbm: new Float64Array(0) }, INPUT).peaks.every(
        ({ peak }) => peak === null,
      ),
    ).toBe(true)
  })
})

describe('traceDoubt', () => {
  const peak = {
    harmonic: 2,
    frequencyHz: 2e8,
    peak: { frequencyHz: 2e8, levelDbm: -40, isNoise: false },
    sweeps: null,
    stepHz: 5e4,
    coarse: false,
    warning: null,
  }
  it('is coarse, stepped or none', () => {
    expect(
      traceDoubt({ ...peak, coarse: true }, { resolutionBandwidthHz: 1e4, keepsHighest: false }),
    ).toMatchObject({ kind: 'coarse-trace' })
    expect(traceDoubt(peak, { resolutionBandwidthHz: 1e5, keepsHighest: false })).toMatchObject({
      kind: 'stepped-trace',
    })
    expect(traceDoubt(peak, { resolutionBandwidthHz: 1e5, keepsHighest: true })).toBeNull()
  })
})

describe('thinTrace', () => {
  it('keeps every peak and the order', () => {
    const thin = thinTrace(trace(1e4, 960e6, { 123.45e6: -5, 700e6: 12 }), 800)
    expect(thin.levelsDbm.length).toBe(1600)
    expect(Math.max(...thin.levelsDbm)).toBe(12)
    expect([...thin.levelsDbm]).toContain(-5)
    expect([...thin.frequenciesHz].every((hz, i, all) => i === 0 || hz >= all[i - 1]!)).toBe(true)
  })

  it('gives short traces back whole and refuses no bucket', () => {
    expect(thinTrace(trace(1e6, 5e6, {}), 100).levelsDbm).toHaveLength(6)
    expect(() => thinTrace(trace(1e6, 5e6, {}), 0)).toThrowError(
      expect.objectContaining({ code: 'out-of-range' }),
    )
  })
})

describe('traceAtRadio', () => {
  it('adds the loss at each point, takes the offset off, and leaves a gap where the loss is not known', () => {
    const seen = traceAtRadio(
      trace(100e6, 400e6, {}),
      chainOf([pad(50, { fromHz: 90e6, toHz: 350e6 })], { offsetOnInstrumentDb: 10 }),
      analyser(),
    )
    expect([...seen.levelsDbm]).toEqual([Number.NaN, -50, -50, -50, Number.NaN])
  })
})

describe('writeCsv', () => {
  it('defuses formulas and leaves negative numbers numbers', () => {
    expect(
      writeCsv([
        [
          '=1+1',
          '+44',
          '-49.0',
          '@x',
          '-SUM(A1)',
          '−3',
          '−58.2 dBm',
          '-1+2 kHz',
          '-3 abcdef',
          -49,
          null,
          'a,"b"',
          '\tx',
        ],
      ]),
    ).toBe('\'=1+1,+44,-49.0,\'@x,\'-SUM(A1),-3,-58.2 dBm,\'-1+2 kHz,\'-3 abcdef,-49,,"a,""b""",\'\tx\r\n')
  })
  it('writes nothing for what is no number', () => expect(writeCsv([[Number.NaN, Infinity]])).toBe(',\r\n'))
})
