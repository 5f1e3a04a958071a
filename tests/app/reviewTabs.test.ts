import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { type TabEvents, useReviewTabs } from '~/composables/useReviewTabs'
import type { LockState } from '~/storage/reviewLock'

type Tell = (state: LockState) => void
/** The lock of the browser: one tab has it, and who takes it over tells the one that had it. */
const lock = vi.hoisted(() => ({ holder: null as Tell | null, told: [] as Tell[] }))

vi.mock('~/storage/reviewLock', () => ({
  lockReview: (_id: string, tell: Tell) => {
    lock.told.push(tell)
    tell(lock.holder ? 'elsewhere' : 'mine')
    lock.holder ??= tell
    return {
      takeOver: async () => {
        lock.holder?.('elsewhere')
        lock.holder = tell
        tell('mine')
      },
      release: () => {
        if (lock.holder === tell) lock.holder = null
      },
    }
  },
}))

const aWhile = (ms = 30) => new Promise(resolve => setTimeout(resolve, ms))

describe('two tabs with one review open', () => {
  const open: ReturnType<typeof useReviewTabs>[] = []

  function tab(settled: () => Promise<void> = async () => {}, read: () => Promise<void> = async () => {}) {
    const heard: string[] = []
    const events: TabEvents = {
      onChanged: () => {
        heard.push('changed')
        return read()
      },
      onLost: () => heard.push('lost'),
      onRemoved: () => heard.push('removed'),
      onReplaced: () => heard.push('replaced'),
      settled,
    }
    const tabs = useReviewTabs(events)
    tabs.listen('a-review')
    tabs.hold('a-review')
    open.push(tabs)
    return { tabs, heard }
  }

  beforeEach(() => {
    lock.holder = null
    lock.told = []
  })
  afterEach(() => open.splice(0).forEach(tabs => tabs.leave()))

  it('the first writes, the second reads and follows what the first saved', async () => {
    const first = tab()
    const second = tab()
    expect([first.tabs.readOnly.value, second.tabs.readOnly.value]).toEqual([false, true])
    first.tabs.tellSaved()
    await aWhile()
    expect(second.heard).toEqual(['changed'])
  })

  it('the one that writes does not read again what another one says it saved', async () => {
    const first = tab()
    const second = tab()
    second.tabs.tellSaved()
    await aWhile()
    expect(first.heard).toEqual([])
  })

  it('who takes over waits until the other one’s last change is on the disk', async () => {
    let onDisk = () => {}
    const first = tab(() => new Promise<void>(resolve => (onDisk = resolve)))
    const second = tab()
    const taken = second.tabs.takeOver()
    await aWhile()
    // Between the two nobody writes.
    expect([first.tabs.readOnly.value, second.tabs.readOnly.value]).toEqual([true, true])
    onDisk()
    expect(await taken).toBe(true)
    expect([first.tabs.readOnly.value, second.tabs.readOnly.value]).toEqual([true, false])
    expect(first.heard).toEqual(['lost'])
    // Whoever asked reads it again itself.
    expect(second.heard).toEqual([])
  })

  it('the one that reads goes on writing once the other was closed, and reads what that one saved first', async () => {
    let isRead = () => {}
    const first = tab()
    const second = tab(undefined, () => new Promise<void>(resolve => (isRead = resolve)))
    first.tabs.leave()
    lock.told[1]!('mine')
    expect(second.tabs.readOnly.value).toBe(true)
    isRead()
    await aWhile()
    expect(second.tabs.readOnly.value).toBe(false)
    expect(second.heard).toEqual(['changed'])
    expect(first.heard).toEqual([])
  })

  it('one that sleeps is waited for a second and a half, and no longer', async () => {
    const first = tab(() => new Promise<void>(() => {}))
    const second = tab()
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const taken = second.tabs.takeOver()
    await vi.advanceTimersByTimeAsync(1499)
    expect(second.tabs.readOnly.value).toBe(true)
    await vi.advanceTimersByTimeAsync(2)
    vi.useRealTimers()
    expect(await taken).toBe(true)
    expect(second.tabs.readOnly.value).toBe(false)
    expect(first.heard).toEqual(['lost'])
  })

  it('goes on where it was when the tab that asked was closed meanwhile', async () => {
    const first = tab()
    const asking = new BroadcastChannel('rigorous-meter:a-review')
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    asking.postMessage('hand-over')
    await vi.waitFor(() => expect(first.tabs.readOnly.value).toBe(true))
    await vi.advanceTimersByTimeAsync(1501)
    vi.useRealTimers()
    asking.close()
    expect(first.tabs.readOnly.value).toBe(false)
    expect(first.heard).toEqual([])
  })

  it('is told what was removed or replaced elsewhere, and lets be what is none of these words', async () => {
    const { heard } = tab()
    const other = new BroadcastChannel('rigorous-meter:a-review')
    for (const message of ['nonsense', { removed: true }, 'removed', 'replaced']) other.postMessage(message)
    await aWhile()
    other.close()
    expect(heard).toEqual(['removed', 'replaced'])
  })

  it('hears nothing more once it was left, and holds nothing', async () => {
    const first = tab()
    const second = tab()
    first.tabs.leave()
    expect(first.tabs.isHeld()).toBe(false)
    expect(await first.tabs.takeOver()).toBe(false)
    second.tabs.tellSaved()
    await aWhile()
    expect(first.heard).toEqual([])
    expect(tab().tabs.readOnly.value).toBe(false)
  })
})
