import { describe, expect, it } from 'vitest'
import { type ChartPlot, type Plot, PICTURE_SHAPES, pictureOf, plotFigure } from '#core/plot'
import { DAY, NIGHT, type SvgElement, type SvgNode, svgText } from '#core/svg'

const chart = (more: Partial<ChartPlot> = {}): ChartPlot => ({
  kind: 'chart',
  id: 'p',
  stationId: 's',
  title: 'Power at the socket',
  subtitle: 'W',
  spoken: 'Power. 4 W.',
  x: { title: '', scale: 'linear', from: 0, to: 10 },
  y: { title: '', scale: 'linear', from: 0, to: 8 },
  series: [{ name: 'A', shape: 'line', points: [] }],
  marks: [],
  shades: [],
  ...more,
})
const drawn = (plot: Plot) => plotFigure(plot, { width: 400, height: 200, inks: DAY, size: 10 })
const ofTag = (node: SvgNode, tag: string): SvgElement[] =>
  typeof node === 'string'
    ? []
    : [...(node.tag === tag ? [node] : []), ...node.children.flatMap(child => ofTag(child, tag))]
const numbersIn = (d: unknown) =>
  String(d)
    .match(/-?\d+(\.\d+)?/g)!
    .map(Number)

describe('a chart', () => {
  it('puts a value where its share of the axis is: the middle in the middle', () => {
    const line = { name: 'A', shape: 'line' as const, points: [0, 5, 10].map(x => ({ x, y: 0.8 * x })) }
    const path = ofTag(drawn(chart({ series: [line] })), 'path').find(
      ({ attributes }) => attributes.stroke === DAY.spruce,
    )!
    const [x0, y0, x1, y1, x2, y2] = numbersIn(path.attributes.d) as [
      number,
      number,
      number,
      number,
      number,
      number,
    ]
    expect(x1).toBeCloseTo((x0 + x2) / 2, 1)
    expect(y1).toBeCloseTo((y0 + y2) / 2, 1)
    // What is more stands higher.
    expect(y2).toBeLessThan(y0)
  })

  it('draws a limit at its value, along all of the plot or along its part', () => {
    const markOf = (mark: ChartPlot['marks'][number]) =>
      ofTag(drawn(chart({ marks: [mark] })), 'path').find(
        ({ attributes }) => attributes.stroke === DAY.ink && !attributes['stroke-dasharray'],
      )!
    const [fromX, y, toX] = numbersIn(markOf({ title: '', y: 4, kind: 'limit' }).attributes.d)
    expect(toX! - fromX!).toBeGreaterThan(350)
    const [, higher] = numbersIn(markOf({ title: '', y: 6, kind: 'limit' }).attributes.d)
    expect(higher!).toBeLessThan(y!)
    const part = numbersIn(markOf({ title: '', y: 4, kind: 'limit', from: 0, to: 5 }).attributes.d)
    expect(part[2]! - part[0]!).toBeCloseTo((toX! - fromX!) / 2, 0)
  })

  it('draws what is only known to lie below as an arrow down, and no whisker', () => {
    const points = [{ x: 5, y: 4, low: 3, high: 5, bound: 'below' as const }]
    const plain = svgText(drawn(chart({ series: [{ name: 'A', shape: 'points', points }] })))
    expect(plain).toContain(`stroke="${DAY.notCovered}"`)
    expect(plain).not.toContain('<circle')
    const known = svgText(
      drawn(chart({ series: [{ name: 'A', shape: 'points', points: [{ x: 5, y: 4 }] }] })),
    )
    expect(known).toContain('<circle')
  })

  it('shades what nothing is known of, with words', () => {
    const plot = chart({
      x: { title: '', scale: { names: ['×2', '×3', '×4', '×5'] } },
      shades: [{ words: 'not covered', fromX: 2, toX: 3 }],
    })
    const [shade] = ofTag(drawn(plot), 'rect').filter(({ attributes }) => attributes.fill === DAY.noise)
    // Two of four names.
    expect(Number(shade!.attributes.width)).toBeGreaterThan(150)
    expect(svgText(drawn(plot))).toContain('not covered')
  })

  it('names the radios where there are several, and stands in words for who cannot see it', () => {
    const one = svgText(drawn(chart()))
    expect(one).not.toContain('>A<')
    const names = ['sample A', 'sample B'].map(name => ({ name, shape: 'line' as const, points: [] }))
    const two = svgText(drawn(chart({ series: names })))
    expect(two).toContain('>sample A<')
    expect(two).toContain('>sample B<')
    expect(two).toContain('aria-label="Power. 4 W."')
  })

  it('holds nothing but numbers where a series is empty', () => {
    expect(
      svgText(drawn(chart({ y: { title: 'W', scale: 'linear' }, x: { title: '', scale: 'linear' } }))),
    ).not.toMatch(/NaN|Infinity|undefined/)
  })
})

describe('strips', () => {
  const rows = Array.from({ length: 30 }, (_unused, i) => ({
    label: `figure ${i}`,
    words: 'inside',
    verdict: null,
  }))
  it('say how many there are that have no room', () => {
    const { kind: _kind, ...head } = chart()
    const plot: Plot = { ...head, kind: 'strips', rows, more: 5 }
    const text = svgText(drawn(plot))
    const shown = text.match(/>figure \d+</g)!.length
    expect(shown).toBeGreaterThan(3)
    expect(text).toContain(`and ${35 - shown} more`)
  })
})

describe('a picture', () => {
  it.each(['wide', 'square'] as const)('is %s, with title, units, and who', shape => {
    const { width, height } = PICTURE_SHAPES[shape]
    const picture = pictureOf(chart(), { who: 'Demo bench · 2026-11-14' }, { shape, inks: NIGHT })
    expect(picture.attributes).toMatchObject({ width, height })
    const text = svgText(picture)
    for (const words of ['Power at the socket', 'W', 'Demo bench · 2026-11-14'])
      expect(text).toContain(`>${words}<`)
    expect(text).toContain(NIGHT.sheet)
    for (const { attributes } of ofTag(picture, 'text')) {
      expect(Number(attributes.x)).toBeLessThanOrEqual(width)
      expect(Number(attributes.y)).toBeLessThanOrEqual(height)
    }
  })
})
