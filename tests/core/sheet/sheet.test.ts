import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { demoReview } from '#core/demo'
import { findings, mayIKey } from '#core/findings'
import { modelsOf, newReview } from '#core/review'
import { sentencesOf } from '#core/sheet/sentences'
import { madeSentences, type Paper, PAPERS, sheetDrawing, sheetOf } from '#core/sheet'
import { DAY, type SvgNode, textWidth } from '#core/svg'

const { review } = demoReview()
const context = createContext(review)
const models = modelsOf(review)
const stamp = { version: '1.0.0', mark: '7F3A-21C9' }
const sheets = models.map(model => ({ model, sheet: sheetOf(model, context, stamp) }))
const trek = sheets.find(({ model }) => model.name === 'Osmere Trek 2')!.sheet

interface Line {
  text: string
  x: number
  y: number
  size: number
  anchor: string
}

/** Every line of text of a drawing, where it stands on the page. */
function linesOf(node: SvgNode, at = { x: 0, y: 0 }): Line[] {
  if (typeof node === 'string') return []
  const moved = /translate\(([-\d.]+) ([-\d.]+)\)/.exec(String(node.attributes.transform ?? ''))
  const here = moved ? { x: at.x + Number(moved[1]), y: at.y + Number(moved[2]) } : at
  if (node.tag !== 'text') return node.children.flatMap(child => linesOf(child, here))
  const { x, y, 'font-size': size, 'text-anchor': anchor = 'start' } = node.attributes
  return [
    {
      text: wordsOf(node),
      ...{ x: here.x + Number(x), y: here.y + Number(y), size: Number(size), anchor: String(anchor) },
    },
  ]
}

const wordsOf = (node: SvgNode): string =>
  typeof node === 'string' ? node : node.children.map(wordsOf).join('')

describe('a sheet of the demo', () => {
  it('says what is outside first, then what is inside, then what cannot be said, and what so few units can say', () => {
    const said = madeSentences(trek)
    const order = [
      'over the limit on 2 m (',
      'inside the law on 2 m',
      'cannot be said yet',
      'maker’s figures',
      'for the model',
    ]
    const places = order.map(words => said.indexOf(words))
    expect(places.every(place => place >= 0)).toBe(true)
    expect(places).toEqual(places.toSorted((a, b) => a - b))
    // One of two inside: Clopper–Pearson gives 1.26 % to 98.7 %.
    expect(said).toContain('between 1.3 and 99 in a hundred')
  })

  it('gives each band its own figure and the rulebook it is over the limit of', () => {
    const [first] = mayIKey(
      context.review.sets.find(({ id }) => id === 'trek-b')!,
      context,
    )
    const over = (name: string, marginDb: number, closestRulebook: string) => ({
      ...first!,
      state: 'not-without' as const,
      band: { ...first!.band, id: name, name },
      closest: { ...first!.closest!, unit: 'dB' as const, margin: -marginDb },
      closestRulebook,
    })
    const answers = [over('2 m', 13.9, 'US amateur'), over('1.25 m', 26, 'ITU spurious')]
    const [said] = sentencesOf([first!.set], { answers, found: findings(context, [first!.set]) })
    expect(said!.text.replaceAll('\u00a0', ' ')).toBe(
      'sample B is 13.9 dB over the limit on 2 m (US amateur) and 26.0 dB over the limit on 1.25 m (ITU spurious).',
    )
  })

  it('answers for every band, samples apart where they differ and together where they do not', () => {
    expect(trek.lines.map(({ label }) => label)).toEqual([
      '2 m, sample A',
      '2 m, sample B',
      '70 cm, sample A',
      '70 cm, sample B',
    ])
    expect(trek.lines[0]).toMatchObject({ state: 'inside', words: 'Yes, on this evidence' })
    expect(trek.lines[1]!.verdict!.margin!).toBeLessThan(0)
    expect(trek.lines[2]!.verdict).toBeNull()
  })

  it('has four to six drawings, no station twice', () => {
    expect(trek.plots.length).toBeGreaterThanOrEqual(4)
    expect(trek.plots.length).toBeLessThanOrEqual(6)
    const stations = trek.plots.map(({ stationId }) => stationId)
    expect(new Set(stations).size).toBe(stations.length)
  })

  it('says how it was measured and what was not covered', () => {
    expect(trek.measured).toContain('Control radio')
    expect(trek.measured).toContain('Ranges are 95 %')
    expect(trek.notCovered).toContain('70 cm')
  })

  it('marks the reviewer’s own words as theirs', () => {
    const model = models[0]!
    const own = sheetOf(model, context, stamp, 'Buy another.')
    const text = linesOf(sheetDrawing(own, { paper: 'a4', inks: DAY }))
      .map(line => line.text)
      .join('\n')
    expect(text).toContain('Buy another.\n(the reviewer’s words)')
    expect(text).not.toContain('over the limit')
  })

  it.each(Object.keys(PAPERS) as Paper[])(
    'has room on %s: nothing stands outside the page, for any model',
    paper => {
      const { width, height } = PAPERS[paper]
      for (const { sheet } of sheets)
        for (const { text, x, y, size, anchor } of linesOf(sheetDrawing(sheet, { paper, inks: DAY }))) {
          const wide = textWidth(text, size)
          const shares: Record<string, number> = { start: 0, middle: 0.5, end: 1 }
          const from = x - wide * shares[anchor]!
          expect(from, text).toBeGreaterThan(0)
          expect(from + wide, text).toBeLessThan(width)
          expect(y, text).toBeLessThan(height - 10)
          expect(y, text).toBeGreaterThan(10)
        }
    },
  )

  it('in plain words, all of it (golden: read by eye)', async () => {
    const lines = sheets.flatMap(({ sheet }) => linesOf(sheetDrawing(sheet, { paper: 'a4', inks: DAY })))
    await expect(`${lines.map(({ text }) => text).join('\n')}\n`).toMatchFileSnapshot(
      '../../golden/sheets.txt',
    )
  })
})

describe('a sheet of nothing', () => {
  it('says that nothing was read', () => {
    const empty = newReview({ id: 'r', title: 'Empty', at: review.createdAt })
    const set = { ...review.sets[0]!, bands: [] }
    const bare = { ...empty, sets: [set] }
    const sheet = sheetOf(modelsOf(bare)[0]!, createContext(bare), { version: '1', mark: '' })
    expect(sheet.measured).toBe('Nothing was read yet.')
    expect(sheet.plots).toEqual([])
    const text = linesOf(sheetDrawing(sheet, { paper: 'a4', inks: DAY }))
      .map(line => line.text)
      .join('\n')
    expect(text).toContain('Nothing can be said yet.')
    expect(text).not.toMatch(/NaN|undefined|Infinity/)
  })
})
