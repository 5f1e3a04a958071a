import { afterEach, describe, expect, it, vi } from 'vitest'
import { lockReview, type LockState } from '~/storage/reviewLock'

type Asked = Pick<LockOptions, 'ifAvailable' | 'steal' | 'signal'>
type Run = (lock: object | null) => Promise<void> | undefined

/** A small stand-in for the browser's Web Locks: one holder a name, a line behind it, stealing rejects the old one. */
function fakeLocks() {
  const held = new Map<string, (reason: Error) => void>()
  const line: { name: string; begin: () => void }[] = []

  function give(name: string, run: Run): Promise<void> {
    return new Promise((resolve, reject) => {
      held.set(name, reject)
      void Promise.resolve(run({})).then(() => {
        if (held.get(name) === reject) {
          held.delete(name)
          const next = line.findIndex(one => one.name === name)
          if (next >= 0) line.splice(next, 1)[0]!.begin()
        }
        resolve()
      })
    })
  }

  function wait(name: string, run: Run, signal: AbortSignal | undefined): Promise<void> {
    return new Promise((resolve, reject) => {
      const one = { name, begin: () => void give(name, run).then(resolve, reject) }
      line.push(one)
      signal?.addEventListener('abort', () => {
        line.splice(line.indexOf(one), 1)
        reject(new DOMException('no more', 'AbortError'))
      })
    })
  }

  return {
    waiting: () => line.length,
    request(name: string, { ifAvailable, steal, signal }: Asked, run: Run): Promise<void> {
      if (held.has(name) && ifAvailable) return Promise.resolve(run(null))
      if (held.has(name) && !steal) return wait(name, run, signal)
      held.get(name)?.(new DOMException('stolen', 'AbortError'))
      return give(name, run)
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

  it('gives the review to the one that waits once the first is left, and to nobody who was left too', async () => {
    const locks = fakeLocks()
    vi.stubGlobal('navigator', { locks })
    const [first, second, third] = [tab(), tab(), tab()]
    await settled()
    second.lock.release()
    expect(locks.waiting()).toBe(1)
    first.lock.release()
    await settled()
    expect(second.states).toEqual(['elsewhere'])
    expect(third.states).toEqual(['elsewhere', 'mine'])
  })

  it('waits again for a review that was taken over, in one place of the line', async () => {
    const locks = fakeLocks()
    vi.stubGlobal('navigator', { locks })
    const [first, second] = [tab(), tab()]
    await settled()
    await second.lock.takeOver()
    expect(locks.waiting()).toBe(1)
    second.lock.release()
    await settled()
    expect(first.states).toEqual(['mine', 'elsewhere', 'mine'])
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
