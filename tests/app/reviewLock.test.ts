import { afterEach, describe, expect, it, vi } from 'vitest'
import { lockReview, type LockState } from '~/storage/reviewLock'

/** A small stand-in for the browser's Web Locks: one holder a name, stealing rejects the old one. */
function fakeLocks() {
  const held = new Map<string, (reason: Error) => void>()
  return {
    request(
      name: string,
      options: { ifAvailable?: boolean; steal?: boolean },
      run: (lock: object | null) => Promise<void> | undefined,
    ): Promise<void> {
      if (held.has(name) && !options.steal) return Promise.resolve(run(null))
      held.get(name)?.(new DOMException('stolen', 'AbortError'))
      return new Promise((resolve, reject) => {
        held.set(name, reject)
        void Promise.resolve(run({})).then(() => {
          held.delete(name)
          resolve()
        })
      })
    },
  }
}

const settled = () => new Promise(resolve => setTimeout(resolve, 0))

describe('one tab at a time', () => {
  afterEach(() => vi.unstubAllGlobals())

  function tab(id = 'r') {
    const states: LockState[] = []
    return { states, lock: lockReview(id, state => states.push(state)) }
  }

  it('gives the review to the first and tells the second', async () => {
    vi.stubGlobal('navigator', { locks: fakeLocks() })
    const [first, second] = [tab(), tab()]
    await settled()
    expect(first.states).toEqual(['mine'])
    expect(second.states).toEqual(['elsewhere'])
  })

  it('lets the second take over and tells the first', async () => {
    vi.stubGlobal('navigator', { locks: fakeLocks() })
    const [first, second] = [tab(), tab()]
    await settled()
    await second.lock.takeOver()
    expect(second.states.at(-1)).toBe('mine')
    expect(first.states.at(-1)).toBe('elsewhere')
  })

  it('frees the review when it is left, and different reviews do not meet', async () => {
    vi.stubGlobal('navigator', { locks: fakeLocks() })
    const first = tab()
    const other = tab('another')
    await settled()
    expect(other.states).toEqual(['mine'])
    first.lock.release()
    await settled()
    const second = tab()
    await settled()
    expect(second.states).toEqual(['mine'])
  })

  it('gives every tab the pen where the browser has no locks', () => {
    vi.stubGlobal('navigator', {})
    expect(tab().states).toEqual(['mine'])
  })
})
