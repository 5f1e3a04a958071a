import { describe, expect, it } from 'vitest'
import { parseFigure } from '#core/quantity'
import type { Review } from '#core/review'
import { FIRMWARE_ID, LABELS_ID, stationById, whoMayUse } from '#core/station'
import { figure, radio, reviewOf, withReadings } from '../../../support/bench'
import { plain } from '../../../support/results'
import { answerOf, resultOf, slot } from '../../../support/stations'

const battery = { voltageV: 7.4, capacityAh: 1.8, energyWh: 13.32 }
const bench = (change: Parameters<typeof radio>[0] = {}): Review =>
  reviewOf({ set: radio({ battery, ...change }) })

const written = (stationId: string, slotId: string, text: string) => ({
  ...figure(1, { slot: slotId, stepId: stationId, stationId, unit: 'words' }),
  text,
})
const labels = (readings: ReturnType<typeof written>[], review = bench()) =>
  resultOf(LABELS_ID, withReadings(review, readings))

describe('labels and papers', () => {
  const approval = (...numbers: string[]) =>
    slot(
      labels(
        ['approval-box', 'approval-body', 'approval-menu'].flatMap((id, i) =>
          numbers[i] ? [written(LABELS_ID, id, numbers[i])] : [],
        ),
      ),
      'approval',
    )

  it('an approval number is the same whatever the blanks and dashes, and another with another letter', () => {
    expect(approval('QX-104 77', 'qx10477')).toMatchObject({
      verdict: { state: 'inside' },
      words: 'The same on box and body',
    })
    expect(approval('QX10477', 'QX10471')).toMatchObject({ verdict: { state: 'outside' } })
    expect(approval('QX10477', 'QX10477', 'QX10471').words).toBe(
      'Differs: box QX10477, body QX10477, menu QX10471',
    )
    expect(approval('QX10477')).toMatchObject({ state: 'open', words: 'Not compared' })
  })

  it('the battery’s label is checked by its own arithmetic, whatever way it is set', () => {
    const label = (text: string) => slot(labels([written(LABELS_ID, 'battery-label', text)]), 'battery-label')
    expect(label('Li-ion 7.4V 1800mAh 13.32Wh')).toMatchObject({
      verdict: { state: 'inside' },
      words: 'Agrees with itself',
    })
    expect(label('3,7 V; 2600 mAh; 10,2 Wh')).toMatchObject({
      verdict: { state: 'outside' },
      words: 'Contradicts itself',
    })
    expect(label('7.4 V 1.8 Ah')).toMatchObject({ verdict: { state: 'observation' }, words: '7.4 V 1.8 Ah' })
  })

  it('the manual is held against the box', () => {
    const manual = (watts: number) =>
      slot(
        labels([
          figure(watts, { slot: 'manual-band-high', stepId: LABELS_ID, stationId: LABELS_ID, unit: 'W' }),
        ]),
        'manual-band-high',
      )
    expect(manual(5)).toMatchObject({ verdict: { state: 'inside' } })
    expect(plain(manual(4).words)).toBe('The box says 5 W')
    expect(manual(4).verdict.state).toBe('outside')
    // A printed figure has no range: its last digit leaves nothing open.
    expect(manual(4).found).toMatchObject({ value: 4, unit: 'W', budget: { range: 0 } })
  })

  it('what is only written down is an observation; the set is what does not agree', () => {
    const read = [
      written(LABELS_ID, 'antenna-label', '136-174'),
      written(LABELS_ID, 'approval-box', 'A1'),
      written(LABELS_ID, 'approval-body', 'A2'),
    ]
    expect(slot(labels(read), 'antenna-label')).toMatchObject({
      words: '136-174',
      verdict: { state: 'observation' },
    })
    expect(answerOf(LABELS_ID, withReadings(bench(), read))).toMatchObject({ verdict: { state: 'outside' } })
  })

  it('words are typed as words, not too long, and never empty', () => {
    expect(parseFigure('  5 V, 2 A  ', { unit: 'words' })).toMatchObject({ ok: true, value: 1 })
    expect(parseFigure(' ', { unit: 'words' })).toMatchObject({ ok: false })
    expect(parseFigure('x'.repeat(400), { unit: 'words' }).ok).toBe(true)
    expect(parseFigure('x'.repeat(401), { unit: 'words' }).ok).toBe(false)
  })
})

describe('firmware and ranges', () => {
  const edge = (slotId: string, mhz: number) =>
    figure(mhz * 1e6, { slot: slotId, stepId: FIRMWARE_ID, stationId: FIRMWARE_ID, unit: 'Hz' })
  const range = (fromMhz: number, toMhz: number) =>
    resultOf(FIRMWARE_ID, withReadings(bench(), [edge('from-1', fromMhz), edge('to-1', toMhz)]))

  it('a range is cut where services begin and end, and what nobody has is said', () => {
    const books = [
      { title: 'A', bands: [{ name: '2 m', fromHz: 144e6, toHz: 148e6 }] },
      { title: 'B', bands: [{ name: '', fromHz: 146e6, toHz: 160e6 }] },
      { title: 'any', bands: [] },
    ]
    expect(whoMayUse({ fromHz: 140e6, toHz: 150e6 }, books)).toEqual([
      { fromHz: 140e6, toHz: 144e6, services: [] },
      { fromHz: 144e6, toHz: 146e6, services: ['A: 2 m'] },
      { fromHz: 146e6, toHz: 148e6, services: ['A: 2 m', 'B'] },
      { fromHz: 148e6, toHz: 150e6, services: ['B'] },
    ])
    expect(whoMayUse({ fromHz: 144e6, toHz: 145e6 }, books)).toEqual([
      { fromHz: 144e6, toHz: 145e6, services: ['A: 2 m'] },
    ])
  })

  it('neighbours of one service are one part', () => {
    const books = [
      {
        title: 'A',
        bands: [
          { name: 'x', fromHz: 1e6, toHz: 2e6 },
          { name: 'x', fromHz: 2e6, toHz: 3e6 },
        ],
      },
    ]
    expect(whoMayUse({ fromHz: 1e6, toHz: 3e6 }, books)).toEqual([
      { fromHz: 1e6, toHz: 3e6, services: ['A: x'] },
    ])
  })

  it('a set that transmits from 136 to 174 MHz is told who has what of it (47 CFR 97: 144 to 148 MHz)', () => {
    const found = slot(range(136, 174), 'who-1')
    expect(found.verdict.state).toBe('observation')
    expect(found.notes.join(' ')).toMatch(/144.*MHz to 148.*MHz: US amateur: 2 m\./)
    expect(range(136, 174).words).toBe('Transmits on 1 range')
  })

  it('ends typed the wrong way round are asked about', () => {
    expect(range(174, 136).questions).toHaveLength(1)
    expect(slot(range(174, 136), 'who-1').state).toBe('open')
    expect(range(136, 174).questions).toEqual([])
  })

  it('versions are written down, the one before asked for', () => {
    const step = stationById(FIRMWARE_ID).plan(bench().sets[0]!, withReadings(bench(), []))[0]!
    expect(step.slots.filter(({ optional }) => !optional).map(({ id }) => id)).toEqual(['version-before'])
    const noted = resultOf(
      FIRMWARE_ID,
      withReadings(bench(), [written(FIRMWARE_ID, 'version-before', '2.14')]),
    )
    expect(slot(noted, 'version-before').words).toBe('2.14')
  })
})
