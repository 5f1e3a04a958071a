import { createContext } from '#core/context'
import type { ReportBlock } from '#core/document'
import { csvParse } from 'd3-dsv'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { buildReport, readingsCsv } from '#core/report'
import type { Review } from '#core/review'
import { AT, figure } from '../../support/bench'

const STAMP = { version: '0.3.0', at: '25 November 2026' }
const report = (change: (review: Review) => Review = review => review) =>
  buildReport(createContext(change(demoReview().review)), STAMP)
const blocksOf = (setId: string, change?: (review: Review) => Review) =>
  report(change).sections.find(({ id }) => id === `set-${setId}`)!.blocks
const tables = (blocks: ReportBlock[]) => blocks.flatMap(block => (block.kind === 'table' ? [block] : []))
const words = (blocks: ReportBlock[]) => JSON.stringify(blocks).replaceAll('\u00a0', ' ')

describe('the further stations in the report', () => {
  it('have a table each, with every figure as it was read', () => {
    const captions = tables(blocksOf('trek-a')).map(({ caption }) => caption.replaceAll('\u00a0', ' '))
    for (const station of [
      'Power over time',
      'Off-air comparison',
      'Deviation',
      'Frequency error',
      'Bandwidth and neighbours',
    ])
      expect(
        captions.some(caption => caption.startsWith(station)),
        station,
      ).toBe(true)
    const { review } = demoReview()
    const said = words(report().sections.flatMap(({ blocks }) => blocks))
    const figures = review.readings.filter(({ seen }) => seen.as === 'figure')
    for (const { text, slot } of figures) if (!slot.startsWith('supply')) expect(said).toContain(text)
  })

  it('print values and ranges in their own units, and no strip where nothing is judged', () => {
    const deviation = tables(blocksOf('tarnwick')).find(({ caption }) => caption.startsWith('Deviation'))!
    const loudest = deviation.rows.find(row =>
      words([{ kind: 'table', caption: '', head: [], widths: [], rows: [row] }]).includes('Loudest'),
    )!
    expect(words([{ kind: 'table', caption: '', head: [], widths: [], rows: [loudest] }])).toContain(
      '2.148 kHz',
    )
    expect(loudest.some(cell => cell.kind === 'strip')).toBe(true)
    const offAir = tables(blocksOf('trek-b')).find(({ caption }) => caption.startsWith('Off-air'))!
    expect(offAir.rows.flat().some(cell => cell.kind === 'strip')).toBe(false)
  })

  it('tell the clause, who took it, how warm it was, from which recording, and the note', () => {
    const said = words(blocksOf('tarnwick'))
    expect(said).toContain('47 CFR 95.975')
    expect(said).toContain('by Demo bench')
    expect(said).toContain('18 °C')
    expect(said).toContain('made for the demo')
    expect(words(blocksOf('trek-b'))).toContain('Note: Case too warm to hold')
  })

  it('tell the geometry of the off-air comparison, and that it was not written down', () => {
    expect(words(blocksOf('trek-b'))).toContain('receive antenna on a stand 2 m away')
    const without = blocksOf('trek-b', review => ({
      ...review,
      memos: {},
    }))
    expect(words(without)).toContain('stood: not written down.')
  })

  it('tell the droop with its time constant, and both conventions of two tones', () => {
    expect(words(blocksOf('trek-b'))).toMatch(/Power falls by 0\.\d\d dB in 300 s, time constant about \d+ s/)
    expect(words(blocksOf('tarnwick'))).toMatch(/27\.4 dB below either tone, 33\.4 dB below PEP/)
  })

  it('say what was left out and why, and do not miss what was only offered', () => {
    const skipped = (review: Review) => ({
      ...review,
      skipped: [{ setId: 'mini', stepId: 'deviation:2m:2m-2:high', reason: 'no adapter', at: AT }],
    })
    expect(words(blocksOf('mini', skipped))).toContain('Left out: no adapter')
    expect(words(blocksOf('mini'))).not.toContain('Second channel')
    expect(words(blocksOf('mini'))).not.toContain('supply voltage')
  })

  it('keep the owner’s consent with the stress test', () => {
    const done = figure(1, {
      slot: 'open',
      stepId: 'stress:2m:2m-2:high',
      unit: 'mark',
      setId: 'c1',
    })
    const consent = (review: Review): Review => ({
      ...review,
      memos: { ...review.memos, stress: { common: null, bySet: { c1: { by: 'the owner', at: AT } } } },
      readings: [...review.readings, done],
    })
    expect(words(blocksOf('c1', consent))).toContain('Consent by the owner, 2026-11-20')
  })
})

describe('the readings as CSV', () => {
  const rows = csvParse(readingsCsv(createContext(demoReview().review)))

  it('says each figure in its own unit, with temperature and who', () => {
    expect(rows.find(row => row.station === 'Deviation' && row.slot!.startsWith('Loudest'))).toMatchObject({
      readingUnit: 'Hz',
      reading: '2400',
      resultUnit: 'Hz',
      rangeUnit: 'Hz',
      who: 'Demo bench',
      ambientC: '18',
    })
    const carrier = rows.find(row => row.station === 'Carrier power')!
    expect(carrier).toMatchObject({ readingUnit: 'dBm', resultUnit: 'dBm', rangeUnit: 'dB' })
    expect(Number(carrier.reading)).toBeGreaterThan(20)
  })
})
