import { describe, expect, it, vi } from 'vitest'
import { createContext, type Context } from '#core/context'
import { findings } from '#core/findings'
import { planRun, stationMark } from '#core/plan'
import { printDb } from '#core/quantity'
import { buildReport, readingsCsv } from '#core/report'
import { checkChange, readReviewFile, type Review, validateReview, writeReviewFile } from '#core/review'
import { checkMemos, stationById, stations } from '#core/station'
import { seenFigure, takeReading } from '#core/step'
import { keyList } from '~/keys/keyList'
import { placeAt, places } from '~/keys/places'
import { stationView } from '~/stations'
import { landMobile } from '../support/stations'
import { toyStation } from '../support/toyStation'

// The line: a station is registered in one place.
vi.mock('../../core/station/registry', async original => {
  const { registered } = await original<{ registered: readonly unknown[] }>()
  const { toyStation: toy } = await import('../support/toyStation')
  return { registered: [...registered, toy] }
})

const AT = '2026-11-24T10:00:00.000Z'
const empty = landMobile()
const set = empty.sets[0]!

function withHum(): Context {
  const context = createContext(empty)
  const step = toyStation.plan(set, context)[0]!
  const kept = { slotId: 'hum', text: '41.5', seen: seenFigure({ value: 41.5, unit: 'dB' }) }
  const reading = takeReading(step, kept, { id: 'r1', at: AT }, context)!
  return createContext({ ...empty, readings: [reading] })
}

describe('a station of one folder and one line is found', () => {
  it('in the registry, in its place of the order', () => {
    expect(stationById('toy-hum')).toBe(toyStation)
    const ids = stations.map(({ id }) => id)
    expect(ids.indexOf('two-tone')).toBeLessThan(ids.indexOf('toy-hum'))
  })

  it('in the order of work, under what the radio hears, and by its address', () => {
    expect(places().find(({ id }) => id === 'toy-hum')).toMatchObject({
      title: 'Hum of the toy',
      group: 'receive',
    })
    expect(placeAt('/review/any/toy-hum')?.id).toBe('toy-hum')
  })

  it('in the list of keys, by its letter', () => {
    expect(keyList()).toContainEqual({ keys: ['G', 'Y'], words: 'go to hum of the toy' })
  })

  it('on the usual screen: it needs no view of its own', () => {
    expect(stationView('toy-hum')).toEqual({})
  })

  it('in the run, and its mark counts what was read', () => {
    const planned = planRun(createContext(empty)).steps.filter(({ stationId }) => stationId === 'toy-hum')
    expect(planned).toHaveLength(1)
    expect(stationMark(toyStation, set, createContext(empty))).toMatchObject({ done: 0, planned: 1 })
    expect(stationMark(toyStation, set, withHum())).toMatchObject({ done: 1, planned: 1 })
  })

  it('in the findings, with its own words', () => {
    const row = findings(withHum()).rows.find(({ question }) => question.stationId === 'toy-hum')!
    expect(row.question.question).toBe('Does it hum?')
    expect(row.answers.map(({ answer }) => answer.words)).toEqual([`${printDb(41.5)} of hum`])
  })

  it('in the report, with its own paragraph', () => {
    const document = buildReport(withHum(), { version: 'test', at: AT })
    expect(JSON.stringify(document)).toContain('Hum read at 1 step.')
  })

  it('in the CSV, one row', () => {
    const rows = readingsCsv(withHum()).split(/\r?\n/)
    expect(rows.filter(row => row.includes('Hum of the toy'))).toHaveLength(1)
    expect(rows.find(row => row.includes('Hum of the toy'))).toContain('41.5')
  })

  it('in storage: its reading and its memo come back from a file, and one its own schema refuses is refused', () => {
    const review: Review = {
      ...empty,
      readings: [...withHum().review.readings],
      memos: { 'toy-hum': { common: null, bySet: { [set.id]: { ear: 'left' } } } },
    }
    expect(validateReview(structuredClone(review))).toEqual(review)
    const bundle = { review, traces: new Map(), curves: new Map(), pictures: new Map(), clips: new Map() }
    const file = writeReviewFile(bundle, { version: 'test', at: AT })
    expect(readReviewFile(file, 'toy.review.json').review).toEqual(review)
    expect(checkChange(review, [['memos']])).toBeNull()
    expect(checkMemos(review)).toBeNull()
    const deaf = { 'toy-hum': { common: null, bySet: { [set.id]: { ear: 'x'.repeat(21) } } } }
    expect(checkMemos({ memos: deaf })?.message).toMatch(/^“Hum of the toy” cannot keep this: .*20/)
  })
})
