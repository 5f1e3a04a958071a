import { createContext } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { limitCurve, rulebookById } from '#core/rules'
import { stationById } from '#core/station'
import { buildLimitChartOption } from '~/charts/limitChartOption'
import { chartPalette, verdictColour } from '~/charts/palette'
import { buildPowerCurveOption } from '~/stations/carrier-power/powerCurveOption'
import { buildSpectrumOption } from '~/stations/harmonics/spectrumOption'
import { buildStaircase } from '~/charts/staircase'
import { lightTheme } from '~/theme/themes'
import { analyser, chainOf, meter, pad } from '../support/bench'

const palette = chartPalette(lightTheme.colors as Record<string, string>)
const context = createContext(demoReview().review)
const trekB = context.review.sets.find(({ id }) => id === 'trek-b')!

interface Series {
  name: string
  data: unknown[]
}
const seriesOf = (option: unknown, name: string) =>
  (option as { series: Series[] }).series.find(series => series.name === name)!

describe('the staircase', () => {
  const input = {
    chain: chainOf([pad(30), pad(20, { id: 'p2' })]),
    instrument: analyser(),
    carrierHz: 146.52e6,
    powerW: 5,
    limitDbm: -16,
    width: 800,
    height: 292,
  }
  const drawing = buildStaircase(input)

  it('steps down once for each part and ends at the instrument', () => {
    expect(drawing.carrierPath.match(/V/g)).toHaveLength(2)
    expect(drawing.atInstrumentDbm).toBeCloseTo(-13, 1)
    expect(drawing.carrierEnd!.x).toBeCloseTo(700, 6)
    expect(drawing.limitPath).not.toBeNull()
  })

  it('stacks the window’s zones without gaps', () => {
    expect(drawing.zones.map(({ id }) => id)).toEqual(['damage', 'overload', 'well', 'noise'])
    for (let i = 1; i < drawing.zones.length; i++)
      expect(drawing.zones[i]!.y).toBeCloseTo(drawing.zones[i - 1]!.y + drawing.zones[i - 1]!.height, 6)
  })

  it('draws higher levels higher', () => expect(drawing.carrierEnd!.y).toBeLessThan(drawing.limitEnd!.y))

  it('stops where a loss is not known, draws a meter without noise, and bears no instrument', () => {
    expect(buildStaircase({ ...input, chain: chainOf([pad(30, { toHz: 1e6 })]) })).toMatchObject({
      carrierEnd: null,
      atInstrumentDbm: null,
    })
    expect(buildStaircase({ ...input, instrument: meter() }).zones.map(({ id }) => id)).toEqual([
      'damage',
      'well',
    ])
    expect(buildStaircase({ ...input, instrument: meter() }).limitPath).toBeNull()
    expect(buildStaircase({ ...input, instrument: undefined }).zones).toEqual([])
  })
})

describe('the spectrum', () => {
  const harmonics = stationById('harmonics')
  const step = harmonics.plan(trekB, context)[0]!
  const slots = harmonics.evaluate(step, context).slots
  const input = { palette, slots, trace: null, limitLabel: 'limit', carrierHz: 146.52e6, reachHz: 960e6 }

  it('marks every reading with its verdict’s colour, and draws stems without a trace', () => {
    const option = buildSpectrumOption(input)
    expect(seriesOf(option, 'harmonics').data).toHaveLength(6)
    expect(seriesOf(option, 'harmonics').data[1]).toMatchObject({ itemStyle: { color: palette.outside } })
    expect(seriesOf(option, 'peaks').data.length).toBe(18)
  })

  it('draws a trace with gaps where the loss is not known', () => {
    const option = buildSpectrumOption({
      ...input,
      trace: { frequenciesHz: Float64Array.of(1e8, 2e8), levelsDbm: Float64Array.of(-40, Number.NaN) },
    })
    expect(seriesOf(option, 'trace').data).toEqual([
      [100, -40],
      [200, null],
    ])
  })

  it('draws no limit where there is none, and steps it where harmonics have their own', () => {
    expect(
      seriesOf(
        buildSpectrumOption({
          ...input,
          slots: slots.map(slot => ({ ...slot, limit: null, yardstick: null })),
        }),
        'limit',
      ).data,
    ).toEqual([])
    const stepped = slots.map(slot =>
      slot.limit?.kind === 'limit' && slot.slot.id === 'x3'
        ? { ...slot, limit: { ...slot.limit, limitDbm: -54 } }
        : slot,
    )
    const line = seriesOf(buildSpectrumOption({ ...input, slots: stepped }), 'limit').data as [
      number,
      number,
    ][]
    expect(line.filter(([, dbm]) => dbm === -54).map(([mhz]) => mhz)).toEqual(
      [2.5 * 146.52, 3.5 * 146.52].map(mhz => expect.closeTo(mhz, 6)),
    )
  })

  it('escapes names in its tooltip', () => {
    const { formatter } = (
      buildSpectrumOption(input) as unknown as { tooltip: { formatter: (one: unknown) => string } }
    ).tooltip
    expect(formatter({ name: '<b>x</b>', value: [100, -40] })).toContain('&lt;b&gt;')
    expect(formatter({})).toBe('')
  })
})

describe('the power curve', () => {
  const power = stationById('carrier-power')
  const results = power
    .plan(trekB, context)
    .filter(({ band }) => band.id === '2m')
    .map(step => power.evaluate(step, context))

  it('has a line and its ranges for each level, and the claim', () => {
    const option = buildPowerCurveOption({ palette, results })
    expect(seriesOf(option, 'High').data).toHaveLength(3)
    expect(seriesOf(option, 'High range').data).toHaveLength(9)
    expect(JSON.stringify(option)).toContain('"yAxis":5')
  })
})

describe('colours', () => {
  it('differ by verdict and fall back on “not covered”', () => {
    expect(verdictColour(palette, 'inside')).toBe(palette.inside)
    expect(verdictColour(palette, 'too-close')).toBe(palette.close)
    expect(verdictColour(palette, 'outside')).toBe(palette.outside)
    expect(verdictColour(palette, 'no-figure')).toBe(palette.notCovered)
  })
})

describe('the chart of limits', () => {
  const carrier = { frequencyHz: 27.185e6, powerW: 4, mode: 'FM' as const }
  const curves = ['us-amateur', 'eu-cb', 'itu-spurious'].map(id =>
    limitCurve(rulebookById(id), carrier, { fromHz: 1e6, toHz: 2e9, points: 60 }),
  )
  const option = buildLimitChartOption({
    palette,
    curves,
    carrierHz: carrier.frequencyHz,
    carrierDbm: 36,
  }) as { series: Series[]; legend: { data: string[] }; tooltip: { formatter: (lines: unknown) => string } }

  it('draws a line for each rulebook that has a figure, and the carrier', () => {
    expect(option.legend.data).toEqual(['EU CB, 27 MHz', 'ITU spurious, category A'])
    expect(option.series.map(({ name }) => name)).toEqual([
      'EU CB, 27 MHz',
      'ITU spurious, category A',
      'carrier',
    ])
  })

  it('shows titles as text, never as markup', () => {
    const shown = option.tooltip.formatter([
      { seriesName: '<b>mine</b>', value: [100, -36] },
      { seriesName: 'carrier', value: [27, 36] },
    ])
    expect(shown).toContain('&lt;b&gt;mine&lt;/b&gt;: −36.00')
    expect(option.tooltip.formatter([])).toBe('')
  })
})
