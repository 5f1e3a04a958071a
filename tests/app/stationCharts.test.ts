import { createContext } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { droopOf, stationById } from '#core/station'
import { escapeHtml, roundStep } from '~/charts/axes'
import { buildChannelSpectrumOption } from '~/charts/channelSpectrumOption'
import { buildDeviationOption } from '~/charts/deviationOption'
import { nothingToDraw } from '~/charts/nothingToDraw'
import { buildDroopOption } from '~/charts/droopOption'
import { buildLevelsOption } from '~/charts/levelsOption'
import { chartPalette } from '~/charts/palette'
import { darkTheme, lightTheme } from '~/theme/themes'

interface Series {
  name: string
  data: unknown[]
  markLine?: {
    data: { yAxis: number }[]
    label: { position: string; formatter: (one: { value: number }) => string }
  }
  markArea?: { data: unknown[] }
}
interface Axis {
  min: number
  max: number
  interval: number
}
interface Option {
  series: Series[]
  xAxis: Axis
  yAxis: Axis
}
const option = (made: unknown) => made as Option
const series = (made: unknown, name: string) => option(made).series.find(one => one.name === name)!
const { review, curves } = demoReview()
const context = createContext(review)

describe('a station’s drawing with nothing to draw', () => {
  it('gives its place to the fields until something was read or a curve is kept', () => {
    const station = stationById('deviation')
    const stepsOf = (setId: string) =>
      station.evaluate(
        station.plan(
          review.sets.find(({ id }) => id === setId)!,
          context,
        )[0]!,
        context,
      )
    expect(nothingToDraw(stepsOf('mini'), null)).toContain('Nothing to draw yet')
    expect(nothingToDraw(stepsOf('mini'), {})).toBe('')
    expect(nothingToDraw(stepsOf('trek-a'), null)).toBe('')
  })

  it('draws the highest of each place behind the mean, where a recording gave it', () => {
    const drawn = buildChannelSpectrumOption({
      palette: chartPalette(lightTheme.colors as Record<string, string>),
      curve: {
        x: Float64Array.of(-100, 0, 100),
        y: Float64Array.of(-60, 0, -61),
        y2: Float64Array.of(-52, 3, -50),
      },
      bands: [],
      lines: [],
      levelName: 'dBc',
      halfWidthHz: 1000,
    })
    expect(series(drawn, 'highest').data).toEqual([
      [-100, -52],
      [0, 3],
      [100, -50],
    ])
    expect(option(drawn).yAxis.max).toBeGreaterThanOrEqual(3)
  })

  it('stands typed lines on the ground, tones at 0 dB among them', () => {
    const drawn = buildChannelSpectrumOption({
      palette: chartPalette(lightTheme.colors as Record<string, string>),
      curve: null,
      bands: [],
      lines: [
        { hz: 600, label: 'tone', levelDb: 0 },
        { hz: 1800, label: 'IMD3', levelDb: -31 },
      ],
      levelName: 'dB',
      halfWidthHz: 6000,
      upright: true,
    })
    const low = option(drawn).yAxis.min
    expect(series(drawn, 'lines').markLine!.data).toEqual([
      [{ coord: [600, low] }, { coord: [600, 0] }],
      [{ coord: [1800, low] }, { coord: [1800, -31] }],
    ])
    expect(low).toBeLessThan(-31)
  })
})

describe.each([
  ['light', lightTheme],
  ['dark', darkTheme],
] as const)('the stations’ drawings, %s', (_theme, theme) => {
  const palette = chartPalette(theme.colors as Record<string, string>)

  it('power over time: every moment, the claim, the usual droop', () => {
    const set = review.sets[0]!
    const station = stationById('power-over-time')
    const droop = droopOf(station.evaluate(station.plan(set, context)[0]!, context).slots, [])!
    const drawn = buildDroopOption({ palette, droop, claimW: 5, usualDb: 0.3 })
    expect(series(drawn, 'power').data).toHaveLength(14)
    expect(series(drawn, 'power').markLine!.data).toEqual([{ yAxis: 5 }])
    expect(option(drawn).yAxis.max % option(drawn).yAxis.interval).toBeCloseTo(0, 6)
    expect(
      series(buildDroopOption({ palette, droop: null, claimW: null, usualDb: 0.3 }), 'power').data,
    ).toEqual([])
  })

  it('deviation: both sides, limits on both sides, gaps where nothing was keyed', () => {
    const curve = {
      x: Float64Array.of(0, 1, 2),
      y: Float64Array.of(2000, Number.NaN, 2600),
      y2: Float64Array.of(-1900, Number.NaN, -2500),
    }
    const drawn = buildDeviationOption({
      palette,
      curve,
      limitHz: 2500,
      figures: [{ label: 'tone', valueHz: 2000 }],
    })
    expect(series(drawn, 'up').data).toEqual([
      [0, 2000],
      [1, null],
      [2, 2600],
    ])
    const { data, label } = series(drawn, 'up').markLine!
    expect(data).toEqual([{ yAxis: 2500 }, { yAxis: -2500 }])
    expect([2500, -2500].map(value => label.formatter({ value }).replace(/\s/g, ' '))).toEqual([
      '',
      'limit 2.5 kHz',
    ])
    expect(label.position).toBe('insideEndBottom')
    expect(option(drawn).yAxis.max).toBeGreaterThanOrEqual(2600)
    expect(
      series(buildDeviationOption({ palette, curve: null, limitHz: null, figures: [] }), 'up').data,
    ).toEqual([])
  })

  it('the spectrum around a carrier: only what lies inside, bands shaded, lines named', () => {
    const curve = [...curves.values()].find(({ x }) => x[0] === -48_000)!
    const bands = [
      { fromHz: -4000, toHz: 4000, label: '99 %', tone: 'own' as const },
      { fromHz: 8000, toHz: 17_000, label: 'next above', tone: 'outside' as const },
    ]
    const drawn = buildChannelSpectrumOption({
      palette,
      curve,
      bands,
      lines: [{ hz: 700, label: 'tone', levelDb: -10 }],
      levelName: 'dBc',
      halfWidthHz: 34_375,
    })
    expect(series(drawn, 'spectrum').data.every(point => Math.abs((point as number[])[0]!) <= 34_410)).toBe(
      true,
    )
    expect(series(drawn, 'spectrum').markArea!.data).toHaveLength(2)
    expect(series(drawn, 'lines').data).toEqual([{ value: [700, -10], name: 'tone' }])
    expect(series(drawn, 'lines').markLine!.data).toEqual([])
    expect(option(drawn).xAxis.min).toBe(-option(drawn).xAxis.max)
    expect(
      option(
        buildChannelSpectrumOption({
          palette,
          curve: null,
          bands: [],
          lines: [],
          levelName: 'dB',
          halfWidthHz: 6000,
        }),
      ).yAxis,
    ).toMatchObject({ min: -100, max: 0 })
  })

  it('radios side by side, this one in front, with gaps and limits', () => {
    const drawn = buildLevelsOption({
      palette,
      places: ['cold', 'warm'],
      unit: 'ppm',
      limit: 5,
      radios: [
        { name: 'A', here: false, values: [1, null] },
        { name: 'B', here: true, values: [-2, -1.5] },
      ],
    })
    expect(series(drawn, 'A').data).toEqual([{ value: [0, 1] }, null])
    expect(option(drawn).yAxis.max).toBeGreaterThanOrEqual(5)
    expect(option(drawn).yAxis.min).toBeLessThanOrEqual(-2)
    expect(option(buildLevelsOption({ palette, places: ['×2'], unit: 'dBc', radios: [] })).series).toEqual([])
  })
})

it('steps are round, and names are never markup', () => {
  expect([roundStep(10, 5), roundStep(7, 5), roundStep(0.9, 4), roundStep(68_750, 8)]).toEqual([
    2,
    2,
    expect.closeTo(0.5, 9),
    10_000,
  ])
  expect(escapeHtml('<b>&')).toBe('&lt;b&gt;&amp;')
})
