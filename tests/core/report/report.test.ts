import { createContext } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { buildReport, readingsCsv } from '#core/report'
import { reviewOf, withReadings } from '../../support/bench'

const STAMP = { version: '0.1.0', at: '20 November 2026' }
const context = createContext(demoReview().review)
const report = buildReport(context, STAMP)
const everything = JSON.stringify(report)

describe('the report', () => {
  it('has findings, every set, bench, rule, cautions and versions', () => {
    expect(report.sections.map(({ id }) => id)).toEqual([
      'findings',
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
  const lines = readingsCsv(context).trimEnd().split('\r\n')
  it('has a line for every standing reading, with numbers as numbers', () => {
    expect(lines).toHaveLength(context.review.readings.length + context.review.figures.length + 1)
    expect(lines.find(line => line.includes('×2'))).toMatch(/,-\d+\.\d+,/)
  })
})
