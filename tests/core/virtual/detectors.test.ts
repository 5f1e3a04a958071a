import { describe, expect, it } from 'vitest'
import { newChain, newSpectrumAnalyser } from '#core/chain'
import { virtualBench } from '#core/virtual'

const POINTS = 20_001

/** A sweep of nothing, or of a carrier, by a detector, mW. */
function sweep(detector: string, { keyed = false, spanHz = 1e6, bandwidthHz = 1e5, points = POINTS } = {}) {
  const bench = virtualBench(3, { partErrors: () => new Map() })
  const own = { ...newSpectrumAnalyser('analyser'), floorDbm: -90, floorDoubtDb: 0, damageDbm: 60, vswr: 1 }
  const instrument = bench.instrument('radio', () => ({
    chain: newChain('straight', 'Straight', 'analyser'),
    instrument: own,
    keyed: keyed ? { carrierHz: 100.05e6, claimedW: 1 } : null,
  }))
  const say = (line: string) => instrument.receive(line)
  say(`FREQ:CENT 100E6;:FREQ:SPAN ${spanHz};:BAND ${bandwidthHz};:SWE:POIN ${points};:DET:FUNC ${detector}`)
  say('FORM ASC')
  const answer = String.fromCharCode(...say('TRAC? TRACE1')!).trim()
  const floorDbm = own.floorDbm + 10 * Math.log10(bandwidthHz / own.resolutionBandwidthHz)
  return answer.split(',').map(level => 10 ** ((Number(level) - floorDbm) / 10))
}

const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length
const spread = (values: readonly number[]) =>
  Math.sqrt(mean(values.map(value => (value - mean(values)) ** 2))) / mean(values)

describe('noise at a point of a sweep', () => {
  it('is exponential about its mean where nothing is done to it: as wide as it is large', () => {
    for (const detector of ['NORM', 'SAMP']) {
      const powers = sweep(detector)
      expect(mean(powers)).toBeCloseTo(1, 1)
      expect(spread(powers)).toBeCloseTo(1, 1)
    }
  })

  it('is the twentieth harmonic number for the strongest of twenty looks (closed form): 5.6 dB more', () => {
    const harmonic = Array.from({ length: 20 }, (_unused, i) => 1 / (i + 1)).reduce((a, b) => a + b)
    expect(mean(sweep('POS')) / harmonic).toBeCloseTo(1, 1)
    expect(10 * Math.log10(harmonic)).toBeCloseTo(5.56, 2)
  })

  it('is narrower by the root of twenty for the mean of them', () => {
    const powers = sweep('AVER')
    expect(mean(powers)).toBeCloseTo(1, 1)
    expect(spread(powers)).toBeCloseTo(1 / Math.sqrt(20), 2)
  })
})

describe('a carrier between two points of a sweep', () => {
  // Points a megahertz apart, a filter of a tenth of that: the carrier stands 50 kHz beside the middle point.
  const beside = { keyed: true, spanHz: 100e6, bandwidthHz: 1e5, points: 101 }
  const carrier = (detector: string) => 10 * Math.log10(Math.max(...sweep(detector, beside)))

  it('is held by a detector of peaks, falls by its filter in a sample, and by its share of the way in a mean', () => {
    const held = carrier('POS')
    expect(carrier('NORM')).toBeCloseTo(held, 1)
    // Half the 3 dB bandwidth beside the middle: 3 dB down, by what the bandwidth is named for.
    expect(held - carrier('SAMP')).toBeCloseTo(3.01, 1)
    // A Gaussian is as wide as 1.064 of its 3 dB bandwidth: of a megahertz a tenth is left.
    expect(held - carrier('AVER')).toBeCloseTo(10 * Math.log10(10 / 1.0645), 0)
  })

  it('refuses a detector nobody knows', () => {
    const bench = virtualBench(1)
    const chain = newChain('straight', 'Straight', 'analyser')
    const instrument = bench.instrument('radio', () => ({
      ...{ chain, instrument: newSpectrumAnalyser('analyser'), keyed: null },
    }))
    instrument.receive('DET:FUNC QUITE')
    expect(String.fromCharCode(...instrument.receive('SYST:ERR?')!)).toMatch(/^-104/)
  })
})
