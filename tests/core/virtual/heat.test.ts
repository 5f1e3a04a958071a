import { describe, expect, it } from 'vitest'
import { libraryPart, newChain, newPowerMeter } from '#core/chain'
import { virtualBench, type VirtualRadio, virtualRadio } from '#core/virtual'

/** A radio of just 5 W on a bench whose parts are what they say. */
function bench() {
  const radio: VirtualRadio = { ...virtualRadio(1), carrierDbm: () => 10 * Math.log10(5000) }
  return virtualBench(1, { radio: () => radio, partErrors: () => new Map() })
}

/** What a meter before a load shows after so long, dBm. */
function meterAfter(
  on: ReturnType<typeof bench>,
  { ratingW, partId = 'load' }: { ratingW: number | null; partId?: string },
) {
  const load = { ...libraryPart('load-50', partId), ratingW, vswr: 1 }
  const jumper = {
    ...libraryPart('pad-3', 'jumper'),
    ratingW: null,
    vswr: 1,
    loss: { kind: 'figure' as const, lossDb: 0 },
  }
  const meter = { ...newPowerMeter('meter'), vswr: 1, accuracyPercent: 0, inLine: true }
  let forS = 0
  const instrument = on.instrument('radio', () => ({
    ...{ chain: { ...newChain('way', 'Way', 'meter'), parts: [jumper, load] }, instrument: meter },
    keyed: { carrierHz: 146e6, claimedW: 5, forS },
  }))
  return (seconds: number): number => {
    forS = seconds
    return Number(String.fromCharCode(...instrument.receive('MEAS?')!))
  }
}

describe('a load that bears less than it gets', () => {
  it('burns once it took up a quarter more than it bears in a minute, and takes 2.5 dB with it for good', () => {
    const on = bench()
    // 2 W for 60 s and a quarter more are 150 Ws: 30 s of 5 W.
    const shown = meterAfter(on, { ratingW: 2 })
    const before = shown(29)
    expect(on.damage()).toEqual([])
    const after = shown(31)
    expect(before - after).toBeCloseTo(2.5, 1)
    expect(on.damage()).toEqual([
      expect.stringMatching(/^50 W load: kept keyed with 5\.0 W for 31 s it burnt/),
    ])
    // Cold again it is still burnt; another one in its place is not.
    expect(shown(0)).toBeCloseTo(after, 1)
    expect(meterAfter(on, { ratingW: 50, partId: 'another' })(0)).toBeCloseTo(before, 1)
  })

  it('bears what is written on it for ever, and nothing is known to burn what nothing is written on', () => {
    for (const ratingW of [5.01, 50, null]) {
      const on = bench()
      const shown = meterAfter(on, { ratingW })
      expect(shown(100_000)).toBeCloseTo(shown(0), 1)
      expect(on.damage()).toEqual([])
    }
  })
})
