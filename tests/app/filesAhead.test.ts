import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { useFilesAhead } from '~/composables/useFilesAhead'

const asked: string[] = []
vi.mock('~/stations', () => ({
  fetchStationView: async (id: string) => {
    asked.push(`view ${id}`)
    if (id === 'squelch') throw new Error('no network')
  },
}))

/** What waits for the page to be idle; the test says when it is. */
let waiting: (() => void)[] = []
beforeEach(() => {
  vi.useFakeTimers()
  vi.stubGlobal('requestIdleCallback', (resolve: () => void) => waiting.push(resolve))
  vi.stubGlobal('preloadRouteComponents', async (path: string) => void asked.push(`page ${path}`))
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
  asked.length = 0
  waiting = []
})

const order = () =>
  mount(
    defineComponent(() => {
      useFilesAhead(
        () => ['squelch', 'harmonics', 'audio'],
        id => `/review/one/${id}`,
      )
      return () => h('p')
    }),
  )

async function idleOnce(): Promise<void> {
  for (const resolve of waiting.splice(0)) resolve()
  await vi.advanceTimersByTimeAsync(0)
}

describe('files of the steps’ screens', () => {
  it('are left alone for two seconds, and then until the page is idle', async () => {
    order()
    await vi.advanceTimersByTimeAsync(1999)
    expect(waiting).toHaveLength(0)
    await vi.advanceTimersByTimeAsync(1)
    expect([waiting.length, asked.length]).toEqual([1, 0])
    await idleOnce()
    expect(asked).toEqual(['page /review/one/squelch', 'view squelch'])
  })

  it('come a station each time the page is idle; one that cannot be had keeps none of the others away', async () => {
    order()
    await vi.advanceTimersByTimeAsync(2000)
    await idleOnce()
    await idleOnce()
    expect(asked.slice(2)).toEqual(['page /review/one/harmonics', 'view harmonics'])
    await idleOnce()
    await idleOnce()
    expect(asked).toHaveLength(6)
  })

  it('wait until they are wanted where the browser saves data', async () => {
    vi.stubGlobal('navigator', { connection: { saveData: true } })
    order()
    await vi.advanceTimersByTimeAsync(10_000)
    await idleOnce()
    expect(asked).toEqual([])
  })

  it('are not asked for any more once the review is left', async () => {
    const one = order()
    await vi.advanceTimersByTimeAsync(2000)
    await idleOnce()
    one.unmount()
    await idleOnce()
    expect(asked).toHaveLength(2)
  })
})
