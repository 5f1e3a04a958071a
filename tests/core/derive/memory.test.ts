import { describe, expect, it, vi } from 'vitest'
import { createMemory, createReader } from '#core/derive'

type State = Readonly<Record<string, unknown>>
const field = (state: State, key: string) => state[key]

describe('what was worked out', () => {
  it('is used again as long as every answer is the very same, and worked out anew where one is not', () => {
    const memory = createMemory()
    const owner = {}
    const add = vi.fn((a: number, b: number) => a + b)
    const sum = (state: State) => {
      const { ask, derive } = createReader(state, memory)
      return derive(owner, 'sum', () => add(ask(field, 'a') as number, ask(field, 'b') as number))
    }
    expect(sum({ a: 1, b: 2, c: 0 })).toBe(3)
    expect(sum({ a: 1, b: 2, c: 9 })).toBe(3)
    expect(add).toHaveBeenCalledTimes(1)
    expect(sum({ a: 1, b: 5, c: 9 })).toBe(6)
    expect(add).toHaveBeenCalledTimes(2)
  })

  it('keeps the things of one owner apart, few or many, and forgets none when their number grows', () => {
    const memory = createMemory()
    const owner = {}
    const worked = vi.fn((name: string, a: unknown) => `${name}${String(a)}`)
    const all = (state: State, count: number) => {
      const { ask, derive } = createReader(state, memory)
      return Array.from({ length: count }, (_unused, i) =>
        derive(owner, `n${i}`, () => worked(`n${i}`, ask(field, 'a'))),
      )
    }
    const names = (count: number, a: number) => Array.from({ length: count }, (_unused, i) => `n${i}${a}`)
    for (const count of [1, 6, 7, 20]) expect(all({ a: 1 }, count)).toEqual(names(count, 1))
    expect(worked).toHaveBeenCalledTimes(20)
    expect(all({ a: 2 }, 20)).toEqual(names(20, 2))
    expect(worked).toHaveBeenCalledTimes(40)
  })

  it('hangs on what its parts hang on, however deep, and forgets what it no longer asks', () => {
    const memory = createMemory()
    const owner = {}
    const outer = vi.fn((x: unknown) => x)
    const value = (state: State) => {
      const { ask, derive } = createReader(state, memory)
      const inner = () => derive(owner, 'inner', () => (ask(field, 'on') ? ask(field, 'deep') : 'off'))
      return derive(owner, 'outer', () => outer(derive(owner, 'middle', inner)))
    }
    expect(value({ on: true, deep: 1 })).toBe(1)
    expect(value({ on: true, deep: 2 })).toBe(2)
    expect(value({ on: false, deep: 2 })).toBe('off')
    const calls = outer.mock.calls.length
    expect(value({ on: false, deep: 3 })).toBe('off')
    expect(outer.mock.calls.length).toBe(calls)
    expect(value({ on: true, deep: 3 })).toBe(3)
  })

  it('keeps nothing of a computation that threw', () => {
    const memory = createMemory()
    const owner = {}
    const read = (state: State) => {
      const { ask, derive } = createReader(state, memory)
      return derive(owner, 'x', () => {
        if (ask(field, 'bad')) throw new Error('no')
        return 'good'
      })
    }
    expect(() => read({ bad: true })).toThrow('no')
    expect(read({ bad: false })).toBe('good')
    expect(() => read({ bad: true })).toThrow('no')
    expect(read({ bad: false })).toBe('good')
  })
})
