import { csvParseRows } from 'd3-dsv'
import { createContext } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { buildReport, readingsCsv, reportOutline } from '#core/report'
import { reviewOf, withReadings } from '../../support/bench'

const STAMP = { version: '0.1.0', at: '20 November 2026' }
const context = createContext(demoReview().review)
const report = buildReport(context, STAMP)
const everything = JSON.stringify(report)

describe('the report of many radios', () => {
  it('answers whether each may be keyed where it stands: 24 together, 25 apart', () => {
    const { review } = demoReview()
    const many = (count: number) =>
      reportOutline(
        createContext({
          ...review,
          readings: [],
          sets: Array.from({ length: count }, (_unused, i) => ({ ...review.sets[0]!, id: `set-${i}` })),
        }),
        { version: 'x', at: 'now' },
      )
    const ids = (count: number) => many(count).sections.map(({ id }) => id)
    expect(ids(24)).toContain('keying')
    expect(ids(25)).not.toContain('keying')
    const own = JSON.stringify(many(25).sections[1]!.build())
    expect(own).toContain('May I key it?')
    expect(JSON.stringify(many(24).sections[2]!.build())).not.toContain('May I key it?')
  })
})

describe('the report', () => {
  it('says of each radio and band whether it may be keyed, by which rulebook, and that it is no permission', () => {
    const text = JSON.stringify(report.sections.find(({ id }) => id === 'keying'))
    expect(text).toContain('Not without a filter or a change')
    expect(text).toContain('Yes, on this evidence')
    expect(text).toContain('Cannot be said yet')
    expect(text).toMatch(/×2 is outside by [0-9.]+.dB, by US amateur/)
    expect(text).toContain('A reading is no permission')
  })

  it('has findings, every set, bench, rule, cautions and versions', () => {
    expect(report.sections.map(({ id }) => id)).toEqual([
      'findings',
      'keying',
      'set-trek-a',
      'set-trek-b',
      'set-mini',
      'set-tarnwick',
      'set-pellworth',
      'set-c1',
      'bench',
      'believability',
      'rule',
      'cautions',
      'versions',
      'readings',
    ])
  })

  it('prints every reading as it was taken', () => {
    for (const reading of context.review.readings)
      expect(everything).toContain(JSON.stringify(reading.text).slice(1, -1))
  })

  it('names what was not covered, what is assumed, what is recalled, and the chain', () => {
    for (const words of [
      'What was not covered',
      'stops at 960',
      '(assumed)',
      'ecalled',
      '50 dB, pocket analyser',
      'Sure either way',
      'not legal advice',
      'trek2-b-146520-high.csv',
    ])
      expect(everything).toContain(words)
  })

  it('has as many cells as heads in every row, and a width for each', () => {
    for (const section of report.sections)
      for (const block of section.blocks)
        if (block.kind === 'table') {
          expect(block.widths).toHaveLength(block.head.length)
          for (const row of block.rows) expect(row).toHaveLength(block.head.length)
        }
  })

  it('stands on an empty review too', () =>
    expect(
      buildReport(withReadings({ ...reviewOf(), sets: [], chains: [], instruments: [] }, []), STAMP).sections
        .length,
    ).toBeGreaterThan(3))
})

describe('the readings as CSV', () => {
  const [head, ...rows] = csvParseRows(readingsCsv(context))
  const cell = (row: string[], name: string) => row[head!.indexOf(name)]!
  const ofSlot = (slot: string, set: string) =>
    rows.filter(row => cell(row, 'slot') === slot && cell(row, 'set').includes(set))

  it('has a row for every judgement of every standing reading, with numbers as numbers', () => {
    expect(rows.length).toBeGreaterThanOrEqual(context.review.readings.length)
    expect(rows.every(row => row.length === head!.length)).toBe(true)
    const second = ofSlot('×2', 'Trek 2, sample B')[0]!
    expect(Number(cell(second, 'reading'))).toBeCloseTo(-59.3, 1)
    expect([cell(second, 'resultUnit'), cell(second, 'limitUnit'), cell(second, 'marginUnit')]).toEqual([
      'dBm',
      'dBm',
      'dB',
    ])
  })

  it('never pairs one judge’s limit with another’s margin', () => {
    const carrier = ofSlot('carrier', 'Trek 2, sample B')
    expect(new Set(carrier.map(row => cell(row, 'judgedBy')))).toEqual(new Set(['claim', 'US amateur']))
    for (const row of rows) {
      const [limit, result, margin] = ['limit', 'result', 'margin'].map(name => Number(cell(row, name)))
      if (cell(row, 'limitUnit') !== 'dBm' || cell(row, 'resultUnit') !== 'dBm') continue
      if (cell(row, 'margin') === '') continue
      // The margin is the distance to the limit of its own row, whichever side is the good one.
      expect(Math.abs(Math.abs(limit! - result!) - Math.abs(margin!))).toBeLessThan(0.02)
    }
  })

  it('says figures in their own units', () => {
    const loudest = ofSlot('Loudest voice or whistle', 'Tarnwick')
    expect(loudest.length).toBeGreaterThan(0)
    for (const row of loudest) {
      expect([cell(row, 'resultUnit'), cell(row, 'rangeUnit')]).toEqual(['Hz', 'Hz'])
      if (cell(row, 'margin') !== '') expect(cell(row, 'marginUnit')).toBe('Hz')
    }
  })
})
