import { createContext } from '#core/context'
import type { ReportBlock } from '#core/document'
import { describe, expect, it } from 'vitest'
import type { Verdict } from '#core/decision'
import { demoReview } from '#core/demo'
import { buildReport } from '#core/report'
import { pdfDefinition } from '~/report/pdfDefinition'
import { pdfParts } from '~/report/pdfParts'
import { stripText } from '~/report/pdfDefinition'

const report = buildReport(createContext(demoReview().review), { version: '0.1.0', at: '20 November 2026' })
const definition = pdfDefinition(report)

/** All text of a pdfmake tree, in order. */
function textOf(node: unknown): string {
  if (node === null || typeof node !== 'object') return ''
  if (Array.isArray(node)) return node.map(textOf).join('\u0001')
  const { text, ul, columns, stack, table } = node as {
    text?: unknown
    stack?: unknown
    ul?: unknown
    columns?: unknown
    table?: { body: unknown }
  }
  const runs = Array.isArray(text) ? text.map(run => (run as { text: string }).text).join('') : ''
  return [
    typeof text === 'string' ? text : runs,
    textOf(ul),
    textOf(columns),
    textOf(stack),
    textOf(table?.body),
  ]
    .filter(Boolean)
    .join('\u0001')
}

/** All text of a block of the report document. */
function wordsOf(block: ReportBlock): string[] {
  if (block.kind === 'paragraph') return [block.text]
  if (block.kind === 'list') return block.items
  if (block.kind === 'facts') return block.rows.flat()
  if (block.kind === 'picture') return [block.caption]
  if (block.kind === 'plot') return [block.plot.title, block.plot.subtitle]
  return [
    block.caption,
    ...block.head.map(({ text }) => text),
    ...block.rows.flat().flatMap(cell => {
      if (cell.kind === 'text') return [cell.text]
      if (cell.kind === 'verdict') return [cell.words]
      return []
    }),
  ]
}

describe('the PDF', () => {
  it('has every word of the report document, and no other sections', () => {
    const text = textOf(definition.content)
    const words = report.sections
      .flatMap(section => [section.title, ...section.blocks.flatMap(wordsOf)])
      .filter(word => word !== '')
    expect(words.length).toBeGreaterThan(500)
    for (const word of words) expect(text).toContain(word)
  })

  it('has a strip for every strip', () => {
    const strips = report.sections
      .flatMap(section => section.blocks)
      .flatMap(block => (block.kind === 'table' ? block.rows.flat() : []))
      .filter(cell => cell.kind === 'strip').length
    const plots = report.sections.flatMap(({ blocks }) => blocks).filter(({ kind }) => kind === 'plot').length
    expect(JSON.stringify(definition.content).match(/<svg /g)).toHaveLength(strips + plots)
  })

  it('takes the signs its main face lacks from the face that has them', () => {
    expect(JSON.stringify(definition.content)).toContain('{"text":"µ","font":"Signs"}')
    expect(JSON.stringify(pdfDefinition({ ...report, title: 'Into 50 Ω', sections: [] }).content)).toContain(
      '{"text":"Ω","font":"Greek"}',
    )
  })

  it('numbers its pages', () => {
    const footer = definition.footer as (page: number, pages: number) => unknown
    expect(textOf(footer(3, 14))).toContain('3 of 14')
  })
})

describe('a strip on paper', () => {
  const verdict = (state: Verdict['state'], marginDb: number | null): Verdict => ({
    state,
    unit: 'dB',
    perStripDb: 1,
    margin: marginDb,
    range: 1,
    marginLow: marginDb === null ? null : marginDb - 1,
    marginHigh: marginDb === null ? null : marginDb + 1,
    probabilityComplies: null,
    why: null,
    isBound: false,
    form: 'three',
  })
  const draw = (one: Verdict) => stripText(one, 110)

  it('has a disc, a diamond or a triangle, and nothing where nothing was measured', () => {
    expect(draw(verdict('inside', 10))).toContain('<circle')
    expect(draw(verdict('too-close', 0.2)).match(/Z"/g)).toHaveLength(1)
    expect(draw(verdict('outside', -5)).match(/Z"/g)).toHaveLength(1)
    expect(draw(verdict('not-covered', null))).not.toMatch(/circle|Z"/)
  })

  it('is well-formed', () => {
    const parsed = new DOMParser().parseFromString(draw(verdict('inside', 3)), 'image/svg+xml')
    expect(parsed.querySelector('svg')?.getAttribute('width')).toBe('110')
  })
})

describe('a report that is too long to be laid out at once', () => {
  const rows = (count: number): ReportBlock => ({
    kind: 'table',
    caption: '',
    head: [],
    widths: [],
    rows: Array.from({ length: count }, (_unused, i) => [{ kind: 'text', text: `${i}` }]),
  })
  const long = {
    ...report,
    sections: [
      { id: 'a', title: 'A', blocks: [rows(1500), rows(1500), rows(10)] },
      { id: 'b', title: 'B', newPage: true, blocks: [rows(2400), rows(3)] },
    ],
  }

  it('is cut between blocks, with every block once, and each head once', () => {
    const parts = pdfParts(long)
    const blocks = parts.map(part => part.map(section => section.blocks))
    expect(blocks.flat(2)).toEqual(long.sections.flatMap(section => section.blocks))
    expect(parts.map(part => part.map(({ title }) => title))).toEqual([['A'], ['', 'B']])
    expect(parts[1]!.map(({ newPage }) => newPage)).toEqual([undefined, true])
    expect(pdfParts(report)).toHaveLength(1)
    expect(pdfParts(report)[0]!.map(({ blocks: own }) => own)).toEqual(
      report.sections.map(section => section.blocks),
    )
  })

  it('has its title on the first part only, and counts its pages on', () => {
    const [first, second] = pdfParts(long)
    const footer = (made: typeof definition) =>
      textOf((made.footer as (page: number, pages: number) => unknown)(2, 9))
    const begins = pdfDefinition({ ...long, sections: first! }, { pagesBefore: 0 })
    const goesOn = pdfDefinition({ ...long, sections: second! }, { pagesBefore: 30 })
    expect(textOf(begins.content).startsWith(report.title)).toBe(true)
    expect(textOf(goesOn.content)).not.toContain(report.title)
    expect(footer(goesOn)).toContain('32')
    expect(footer(definition)).toContain('2 of 9')
  })
})
