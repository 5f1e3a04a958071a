import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { byRadio, type ByRadio, type Reading, standingReadings } from '#core/review'

const RADIOS = ['a', 'b', 'c']
let made = 0
const reading = (setId: string, stepId = 'power', slot = 'x1') =>
  ({ id: `r${made++}`, setId, stepId, slot }) as Reading
const anyReading = fc.constantFrom(...RADIOS).map(id => reading(id))
/** One stretch of the list gives way to another: taken out, put in, changed, cut off, continued. */
const anyEdit = fc.record({
  at: fc.double({ min: 0, max: 1, noNaN: true }),
  out: fc.nat({ max: 3 }),
  into: fc.array(anyReading, { maxLength: 3 }),
})

describe('readings by radio', () => {
  it('after any edits are those of a plain filter, and an untouched radio keeps its very list', () => {
    fc.assert(
      fc.property(fc.array(anyReading), fc.array(anyEdit, { maxLength: 8 }), (start, edits) => {
        let before = byRadio(start, [])
        for (const { at, out, into } of edits) {
          const list = [...before.list]
          list.splice(Math.round(at * list.length), out, ...into)
          const now = byRadio(list, [before])
          for (const id of RADIOS) {
            const own = list.filter(({ setId }) => setId === id)
            const known = before.byRadio.get(id) ?? []
            expect(now.byRadio.get(id) ?? []).toEqual(own)
            if (own.length > 0 && own.length === known.length && own.every((one, i) => one === known[i]))
              expect(now.byRadio.get(id)).toBe(known)
          }
          before = now
        }
      }),
    )
  })

  it('a figure being typed leaves the list it continues as it was', () => {
    const list = RADIOS.map(id => reading(id))
    const stored = byRadio(list, [])
    const known: ByRadio<Reading>[] = [stored]
    for (let i = 0; i < 3; i++) known.unshift(byRadio([...list, reading('b')], known))
    expect(stored.byRadio.get('b')).toEqual([list[1]])
    expect(byRadio(list, known)).toBe(stored)
    for (const id of ['a', 'c']) expect(known[0]!.byRadio.get(id)).toBe(stored.byRadio.get(id))
  })

  it('of a step the last one of each slot stands', () => {
    const list = [reading('a', 'power', 'x1'), reading('a', 'power', 'x2'), reading('a', 'power', 'x1')]
    const step = standingReadings(list).get('power')!
    expect([step.get('x1'), step.get('x2')]).toEqual([list[2], list[1]])
    expect(standingReadings(list).has('harmonics')).toBe(false)
  })
})
