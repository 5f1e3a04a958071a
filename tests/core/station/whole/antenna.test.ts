import { describe, expect, it } from 'vitest'
import { parseTouchstone } from '#core/format'
import type { Review } from '#core/review'
import { type Antenna, ANTENNA_ID, figuresFromSweep, stationById, touchstoneOf } from '#core/station'
import { newAntennaAnalyser } from '#core/chain/templates'
import { AT, figure, radio, reviewOf, withReadings } from '../../../support/bench'
import { plain } from '../../../support/results'
import { newBand, newChannel } from '#core/review'

const supplied: Antenna = {
  ...{ id: 'supplied', name: 'Supplied', kind: 'supplied', held: 'in the hand' },
  ...{ labelHz: null, labelVswr: null },
}

/** One radio with three channels on 2 m and its antennas, an analyser of 40 dB on the bench. */
function bench(antennas: Antenna[] | null = null, directivityDb: number | null = 40): Review {
  const band = {
    ...newBand({ id: 'band', name: '2 m', levelIds: ['high'] }),
    claims: { high: { kind: 'watts' as const, powerW: 5 } },
    channels: [144, 146, 148].map((mhz, i) =>
      newChannel({ id: `c${i + 1}`, name: '', frequencyHz: mhz * 1e6, harmonics: i === 1 }),
    ),
  }
  const review = reviewOf({ set: radio({ bands: [band] }) })
  const analyser = { ...newAntennaAnalyser('aa'), directivityDb: directivityDb ?? 0, assumed: false }
  return {
    ...review,
    instruments: [...review.instruments, ...(directivityDb === null ? [] : [analyser])],
    memos: antennas ? { [ANTENNA_ID]: { common: null, bySet: { set: { antennas } } } } : {},
  }
}

const match = (channel: number, vswr: number, antennaId = 'supplied') =>
  figure(vswr, {
    slot: `match-c${channel}`,
    stepId: `${ANTENNA_ID}:band:${antennaId}`,
    stationId: ANTENNA_ID,
    unit: 'VSWR',
    seen: { resolution: 0 },
  })

function results(readings: ReturnType<typeof match>[], review = bench()) {
  const context = withReadings(review, readings)
  const station = stationById(ANTENNA_ID)
  const all = station.plan(review.sets[0]!, context).map(step => station.evaluate(step, context))
  return {
    context,
    all,
    first: all[0]!,
    slot: (id: string) => all[0]!.slots.find(one => one.slot.id === id)!,
  }
}

describe('an antenna’s match', () => {
  it('2.47:1 sends back 7.5 dB down and loses 0.86 dB; of 5 W 4.10 W are left (handbook, section 7)', () => {
    const { slot } = results([match(1, 2.47), match(2, 1.5), match(3, 1.8)])
    expect(plain(slot('match-c1').words)).toBe('return loss 7.5 dB, 0.86 dB lost')
    expect(slot('loss').found!.value).toBeCloseTo(0.862, 2)
    // 1 − Γ² of Γ = 1.47/3.47.
    expect(slot('left').found!.value).toBeCloseTo(5 * (1 - (1.47 / 3.47) ** 2), 9)
    expect(plain(slot('left').words)).toContain('of 5.00 W')
  })

  it('is known as well as the bridge sees: 40 dB leaves ±0.01 of Γ open, more of a bad match', () => {
    const range = (vswr: number, directivityDb = 40) =>
      results([match(1, vswr)], bench(null, directivityDb)).slot('match-c1').found!.budget.range
    // 95 % of a U-shape are 0.997 of its half-width; slope 2/(1 − Γ)² is 2 at 1:1 and 4.5 at 2:1.
    expect(range(1)).toBeCloseTo(2 * 0.01 * 0.997, 3)
    expect(range(2)).toBeCloseTo(4.5 * 0.01 * 0.997, 3)
    expect(range(2, 20)).toBeCloseTo(10 * range(2), 3)
  })

  it('takes 25 dB where the bench has no such analyser, and says it is assumed', () => {
    const { found } = results([match(1, 1.5)], bench(null, null)).slot('match-c1')
    const [line] = found!.budget.contributions
    expect(line).toMatchObject({ id: 'bridge', assumed: true })
    // (1 − 0.2)² and 10^(−25/20).
    expect(line!.halfWidth).toBeCloseTo((2 / 0.64) * 10 ** (-25 / 20), 9)
  })

  it('is an observation where no label says otherwise, judged inside the label’s range only', () => {
    const labelled = { ...supplied, labelHz: [145e6, 147e6] as [number, number], labelVswr: 1.5 }
    const at = (vswr: number, antenna: Antenna) =>
      results([match(1, vswr), match(2, vswr)], bench([antenna])).first.slots.map(
        ({ verdict }) => verdict.state,
      )
    expect(at(1.4, supplied).slice(0, 2)).toEqual(['observation', 'observation'])
    expect(at(1.4, labelled).slice(0, 2)).toEqual(['observation', 'inside'])
    expect(at(1.5, labelled).slice(0, 2)).toEqual(['observation', 'too-close'])
    expect(at(1.6, labelled).slice(0, 2)).toEqual(['observation', 'outside'])
    // Without a figure on the label 2:1 is taken.
    expect(at(1.6, { ...labelled, labelVswr: null }).slice(1, 2)).toEqual(['inside'])
    expect(at(2.2, { ...labelled, labelVswr: null }).slice(1, 2)).toEqual(['outside'])
    const words = results([match(2, 1.6)], bench([labelled])).slot('match-c2').words
    expect(plain(words)).toBe('Above the 1.50:1 of its label by 0.10')
  })

  it('matched everywhere is suspicious, and asked about (common practice)', () => {
    const wide = (low: number, vswr: number) => {
      const review = bench()
      const [set] = review.sets
      const [band] = set!.bands
      const channels = band!.channels.map((one, i) => (i === 0 ? { ...one, frequencyHz: low } : one))
      const moved = { ...review, sets: [{ ...set!, bands: [{ ...band!, channels }] }] }
      return results([match(1, vswr), match(2, 1.1), match(3, 1.2)], moved).first.questions
    }
    // 15 % of 148 MHz below it: 125.8 MHz.
    expect(wide(125e6, 1.3)).toHaveLength(1)
    expect(wide(126e6, 1.3)).toEqual([])
    expect(wide(125e6, 1.31)).toEqual([])
  })

  it('has a step for each antenna on each band, and sets them side by side', () => {
    const other: Antenna = { ...supplied, id: 'whip', name: 'Long whip', kind: 'other' }
    const { context, all } = results([match(1, 2.4), match(2, 1.2, 'whip')], bench([supplied, other]))
    expect(all.map(({ step }) => step.id)).toEqual(['antenna:band:supplied', 'antenna:band:whip'])
    const [remark] = stationById(ANTENNA_ID).remarks!(context.review.sets, context)
    expect(plain(remark!.text)).toContain('Supplied 2.40:1 (0.81 dB lost); Long whip 1.20:1 (0.04 dB lost)')
  })
})

describe('a sweep', () => {
  /** A series circuit in closed form: R = 50 Ω, X = 2·Q·R·(f − f0)/f0, resonant on 146 MHz. */
  const circuit = (q: number, fromMhz = 130, toMhz = 160) => {
    const rows = Array.from({ length: (toMhz - fromMhz) * 20 + 1 }, (_unused, i) => {
      const hz = fromMhz * 1e6 + i * 50e3
      const x = 2 * q * 50 * ((hz - 146e6) / 146e6)
      const size = 100 ** 2 + x * x
      return `${hz} ${((x * x) / size).toFixed(9)} ${((100 * x) / size).toFixed(9)}`
    })
    return parseTouchstone(['# Hz S RI R 50', ...rows].join('\n'), 'closed form.s1p')
  }
  const kept = (sweep: ReturnType<typeof circuit>) => {
    const { all } = results([])
    const figures = figuresFromSweep(all[0]!.step, sweep, { kind: 'typed' })
    return Object.fromEntries(figures.map(({ slotId, seen }) => [slotId, seen.value]))
  }

  it('gives the match at each channel, the best frequency and the 2:1 range of a resonance (closed form)', () => {
    const q = 10
    const found = kept(circuit(q))
    expect(found.best).toBe(146e6)
    // VSWR 2 where |Γ| = 1/3: X/√(100² + X²) = 1/3, X = 100/√8.
    const half = (100 / Math.sqrt(8) / (2 * q * 50)) * 146e6
    expect(found['range-from']! / 1e6).toBeCloseTo((146e6 - half) / 1e6, 2)
    expect(found['range-to']! / 1e6).toBeCloseTo((146e6 + half) / 1e6, 2)
    const x = 2 * q * 50 * (2 / 146)
    const gamma = x / Math.hypot(100, x)
    expect(found['match-c1']).toBeCloseTo((1 + gamma) / (1 - gamma), 6)
    expect(found['match-c3']).toBeCloseTo((1 + gamma) / (1 - gamma), 6)
  })

  it('leaves open what it does not reach', () => {
    const found = kept(circuit(10, 145, 147))
    expect(Object.keys(found).sort()).toEqual(['best', 'match-c2'])
  })

  it('knows no 2:1 range where it is never within', () => {
    const rows = [130, 146, 160].map(mhz => `${mhz}e6 0.5 0`)
    const found = kept(parseTouchstone(['# Hz S RI R 50', ...rows].join('\n'), 'bad.s1p'))
    expect(Object.keys(found).sort()).toEqual(['best', 'match-c1', 'match-c2', 'match-c3'])
    expect(found['match-c2']).toBeCloseTo(3, 9)
  })
})

describe('typed matches as a file', () => {
  it('go out as Touchstone and say how the antenna was held', () => {
    const { context, first } = results([match(3, 1.5), match(1, 3)], bench([supplied]))
    const text = touchstoneOf(first.step, context)!
    const { frequenciesHz, re } = parseTouchstone(text, 'out.s1p')
    expect([...frequenciesHz]).toEqual([144e6, 148e6])
    expect(re[0]).toBeCloseTo(0.5, 6)
    expect(re[1]).toBeCloseTo(0.2, 6)
    expect(text).toContain('! Held: in the hand')
    expect(text).toContain(AT.slice(0, 10))
    expect(touchstoneOf(first.step, results([]).context)).toBeNull()
  })
})
