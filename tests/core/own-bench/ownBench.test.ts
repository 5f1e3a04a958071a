import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { demoReview } from '#core/demo'
import { phrasebooks } from '#core/link'
import {
  emptyBench,
  isEmptyBench,
  keptFrom,
  movedOn,
  readBenchFile,
  takenOver,
  withOwnBench,
  writeBenchFile,
} from '#core/own-bench'
import { newReview, type Review, validateReview } from '#core/review'

const AT = '2026-11-27T10:00:00.000Z'
const { review: demo } = demoReview()
const bench = keptFrom(demo, emptyBench(AT), AT)
const fresh = newReview({ id: 'r2', title: 'Another', at: AT })

describe('my bench', () => {
  it('is kept from a review and copied into another, which can be opened then', () => {
    expect(isEmptyBench(emptyBench(AT))).toBe(true)
    expect(isEmptyBench(bench)).toBe(false)
    const copy = withOwnBench(fresh, bench)
    expect(copy.instruments).toEqual(demo.instruments)
    expect(copy.chains).toEqual(demo.chains)
    expect(copy.calibrations).toEqual(demo.calibrations)
    expect(copy.reviewer).toBe(demo.reviewer)
    expect(() => validateReview(JSON.parse(JSON.stringify(copy)))).not.toThrow()
  })

  it('tells which copies are no longer as the original, and only those', () => {
    const copy = withOwnBench(fresh, bench)
    expect(movedOn(copy, bench)).toEqual([])
    const [first, ...rest] = bench.instruments
    const moved = { ...bench, instruments: [{ ...first!, name: 'Mended' }, ...rest] }
    expect(movedOn(copy, moved)).toEqual([{ kind: 'instrument', id: first!.id, name: 'Mended' }])
    // How often a chain was changed is no difference.
    const again = { ...copy, chains: copy.chains.map(chain => ({ ...chain, revision: chain.revision + 3 })) }
    expect(movedOn(again, bench)).toEqual([])
  })

  it('is taken over when asked: the chains through it rise, and what is of the review alone stays', () => {
    const copy: Review = { ...withOwnBench(fresh, bench), title: 'Mine' }
    const [first, ...rest] = bench.instruments
    const moved = { ...bench, instruments: [{ ...first!, name: 'Mended' }, ...rest] }
    const next: Review = { ...copy, ...takenOver(copy, moved, movedOn(copy, moved)) }
    expect(next.instruments[0]!.name).toBe('Mended')
    expect(movedOn(next, moved)).toEqual([])
    const through = copy.chains.filter(({ instrumentId }) => instrumentId === first!.id)
    expect(through.length).toBeGreaterThan(0)
    for (const { id, revision } of through)
      expect(next.chains.find(one => one.id === id)!.revision).toBe(revision + 1)
    expect(next.title).toBe('Mine')
    expect(() => createContext(next)).not.toThrow()
  })

  it('goes into a file and comes back the same', () => {
    expect(readBenchFile(writeBenchFile(bench), 'b.json')).toEqual(bench)
  })

  it('keeps phrasebooks and closing words when another review is kept as it', () => {
    const before = { ...bench, closing: 'Reach me at the club.', phrasebooks: [...phrasebooks] }
    const again = keptFrom(demo, before, AT)
    expect(again.closing).toBe('Reach me at the club.')
    expect(again.phrasebooks).toHaveLength(phrasebooks.length)
    expect(readBenchFile(writeBenchFile(again), 'b.json')).toEqual(again)
  })

  it.each([
    ['', 'it is empty'],
    ['{', 'it is not JSON'],
    ['{"format":"other"}', 'it is not a bench'],
    ['{"format":"rigorous-meter-bench","formatVersion":1,"bench":{}}', 'it is damaged at changedAt'],
    ['{"format":"rigorous-meter-bench","formatVersion":9}', 'newer version'],
    ['{"__proto__":{"x":1}}', 'it is not JSON'],
  ])('refuses %j in words', (text, words) => {
    expect(() => readBenchFile(text, 'b.json')).toThrow(words)
  })
})
