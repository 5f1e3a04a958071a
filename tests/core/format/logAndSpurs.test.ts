import { describe, expect, it } from 'vitest'
import { parseLogCsv, traceSpurs } from '#core/format'

describe('a log of power over time', () => {
  it.each([
    [
      'seconds and watts',
      'time s,power W\n0,5.02\n10,4.98\n300,4.60',
      'dBm' as const,
      ['5.02 W', '4.98 W', '4.60 W'],
      [0, 10, 300],
    ],
    [
      'clock times, semicolons, decimal commas',
      '12:00:05;5,02\n12:00:15;4,98\n12:05:05;4,6',
      'W' as const,
      ['5,02 W', '4,98 W', '4,6 W'],
      [0, 10, 300],
    ],
    ['minutes and dBm', 'Zeit\tdBm\n0:00\t37\n1:30\t36.8', 'W' as const, ['37 dBm', '36.8 dBm'], [0, 90]],
    ['units in the cells', '# log\n0;5 W\n60 s;4800 mW', 'dBm' as const, ['5 W', '4800 mW'], [0, 60]],
  ])('%s', (_what, text, bareUnit, powers, times) => {
    const log = parseLogCsv(text, 'log.csv', { bareUnit })
    expect(log.rows.map(row => row.text)).toEqual(powers)
    expect(log.rows.map(row => row.atS)).toEqual(times)
  })

  it.each([
    ['one column', '5\n4', 'two columns'],
    ['a broken time', '0,5\nlater,4', 'the time reads'],
    ['a broken power', '0,5\n10,many', 'the power reads'],
    ['only a header', 'time,W', 'no line'],
  ])('refuses %s in plain words', (_what, text, words) => {
    expect(() => parseLogCsv(text, 'log.csv', { bareUnit: 'W' })).toThrow(words)
  })
})

describe('spurs in a trace (outside ±250 % of the necessary bandwidth: ITU-R SM.329, from memory)', () => {
  const points = (peaks: Record<number, number>) => {
    const frequenciesHz = Float64Array.from({ length: 9600 }, (_unused, i) => (i + 1) * 1e5)
    return { frequenciesHz, levelsDbm: frequenciesHz.map(hz => peaks[Math.round(hz / 1e5)] ?? -90) }
  }
  const input = {
    carrierHz: 146.5e6,
    necessaryBandwidthHz: 11_000,
    resolutionBandwidthHz: 1e5,
    floorDbm: -90,
    highestHarmonic: 10,
  }

  it('finds what is neither carrier nor harmonic, the strongest first', () => {
    const found = traceSpurs(
      points({ 1465: -13, 1466: -30, 2930: -60, 4395: -65, 3112: -70, 880: -75, 5000: -85 }),
      input,
    )
    expect(found.map(({ frequencyHz }) => frequencyHz)).toEqual([311.2e6, 88e6])
    expect(found[0]!.aboveFloorDb).toBe(20)
  })

  it('takes neighbours as one, and a dozen at most', () => {
    expect(traceSpurs(points({ 3112: -70, 3114: -71 }), input)).toHaveLength(1)
    expect(
      traceSpurs(
        points(Object.fromEntries(Array.from({ length: 30 }, (_unused, i) => [2000 + 20 * i, -60]))),
        input,
      ).length,
    ).toBeLessThanOrEqual(12)
  })
})
