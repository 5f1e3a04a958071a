import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { currentReadings, nextStanding, type Reading, type Standing, stepKey } from '#core/review'

const SETS = ['a', 'b', 'c']
const STEPS = ['power', 'harmonics']
const SLOTS = ['x1', 'x2']

let made = 0
const reading = (setId: string, stepId: string, slot: string) =>
  ({ id: `r${made++}`, setId, stepId, slot }) as Reading

const anyReading = fc
  .tuple(fc.constantFrom(...SETS), fc.constantFrom(...STEPS), fc.constantFrom(...SLOTS))
  .map(([setId, stepId, slot]) => reading(setId, stepId, slot))

/** One stretch of the list gives way to another: taken out, put in, changed, cut off, gone on with. */
const anyEdit = fc.record({
  at: fc.double({ min: 0, max: 1, noNaN: true }),
  out: fc.nat({ max: 3 }),
  into: fc.array(anyReading, { maxLength: 3 }),
})

const standing = (readings: readonly Reading[]) => ({ readings, current: currentReadings(readings) })

/** What stands, in an order that says nothing. */
const plain = (current: ReturnType<typeof currentReadings>) =>
  [...current].flatMap(([key, slots]) => [...slots].map(([slot, { id }]) => `${key} ${slot} ${id}`)).sort()

describe('the readings that stand', () => {
  it('are the same after any edits as worked out from nothing', () => {
    fc.assert(
      fc.property(
        fc.array(anyReading, { maxLength: 20 }),
        fc.array(anyEdit, { maxLength: 8 }),
        (start, edits) => {
          let before = standing(start)
          for (const { at, out, into } of edits) {
            const readings = [...before.readings]
            readings.splice(Math.round(at * readings.length), out, ...into)
            before = { readings, current: currentReadings(readings, before) }
            expect(plain(before.current)).toEqual(plain(currentReadings(readings)))
          }
        },
      ),
    )
  })

  it('keep the map of every step an edit did not touch', () => {
    const list = SETS.flatMap(set => STEPS.flatMap(step => SLOTS.map(slot => reading(set, step, slot))))
    const before = standing(list)
    const typed = reading('b', 'power', 'x2')
    const edits: Record<string, Reading[]> = {
      'goes on': [...list, typed],
      'is changed in the middle': list.map(one =>
        one.setId === 'b' && one.stepId === 'power' && one.slot === 'x1' ? { ...one, who: 'else' } : one,
      ),
      'loses one': list.filter(one => !(one.setId === 'b' && one.stepId === 'power' && one.slot === 'x1')),
    }
    for (const [what, readings] of Object.entries(edits)) {
      const after = currentReadings(readings, before)
      for (const [key, slots] of after)
        expect([what, key, slots === before.current.get(key)]).toEqual([
          what,
          key,
          key !== stepKey('b', 'power'),
        ])
    }
  })

  it('a figure being typed gives way to the next, and to the one that is kept', () => {
    const list = SETS.flatMap(set => SLOTS.map(slot => reading(set, 'power', slot)))
    const first = reading('b', 'power', 'x1')
    const second = reading('c', 'power', 'x1')
    const typed = { readings: [...list, first], current: currentReadings([...list, first], standing(list)) }
    const after = currentReadings([...list, second], typed)
    expect(after.get(stepKey('b', 'power'))?.get('x1')).toBe(list[2])
    expect(after.get(stepKey('c', 'power'))?.get('x1')).toBe(second)
    expect(after.get(stepKey('a', 'power'))).toBe(typed.current.get(stepKey('a', 'power')))
  })

  it('a step whose last reading is taken out has none left', () => {
    const only = reading('a', 'power', 'x1')
    const other = reading('b', 'power', 'x1')
    expect(currentReadings([other], standing([only, other])).has(stepKey('a', 'power'))).toBe(false)
  })

  it('are worked out from the list that goes on, beside which a figure is being typed', () => {
    const list = SETS.flatMap(set => SLOTS.map(slot => reading(set, 'power', slot)))
    let known: readonly Standing[] = nextStanding(list, [])
    const [base] = known
    for (let i = 0; i < 3; i++) {
      const typed = [...list, reading('b', 'power', 'x1')]
      known = nextStanding(typed, known)
      expect(known.map(one => one.readings)).toEqual([typed, list])
      expect(known[1]).toBe(base)
      for (const key of ['a', 'c'].map(set => stepKey(set, 'power')))
        expect(known[0]!.current.get(key)).toBe(base!.current.get(key))
    }
    known = nextStanding(list, known)
    expect(known[0]).toBe(base)
    const next = [...list, reading('a', 'power', 'x2')]
    known = nextStanding(next, known)
    expect(known[0]!.current.get(stepKey('a', 'power'))?.get('x2')).toBe(next.at(-1))
    expect(known[0]!.current.get(stepKey('b', 'power'))).toBe(base!.current.get(stepKey('b', 'power')))
  })

  it('are worked out from the list that has most in common, not from a short one that happens to go on', () => {
    const start = [reading('a', 'power', 'x1')]
    const many = [...start, ...SETS.flatMap(set => SLOTS.map(slot => reading(set, 'harmonics', slot)))]
    const known = nextStanding(many, nextStanding(start, []))
    const edited = many.map((one, i) => (i === 1 ? { ...one, who: 'else' } : one))
    const [latest] = nextStanding(edited, known)
    for (const set of ['b', 'c'])
      expect(latest.current.get(stepKey(set, 'harmonics'))).toBe(
        known[0].current.get(stepKey(set, 'harmonics')),
      )
  })
})
