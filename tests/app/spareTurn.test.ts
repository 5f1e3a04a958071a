import { afterEach, describe, expect, it, vi } from 'vitest'
import { pageIdle } from '~/composables/pageIdle'
import { spareTurn } from '~/composables/spareTurn'

afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

describe('a spare turn', () => {
  it('is asked of the browser as work in the background, and comes when the browser says', async () => {
    const asked: { task: () => void; options: unknown }[] = []
    let give = () => {}
    vi.stubGlobal('scheduler', {
      postTask: (task: () => void, options: unknown) => {
        asked.push({ task, options })
        return new Promise<void>(resolve => (give = resolve))
      },
    })
    let hasCome = false
    const turn = spareTurn().then(() => (hasCome = true))
    await new Promise(resolve => setTimeout(resolve, 5))
    expect([asked.map(({ options }) => options), hasCome]).toEqual([[{ priority: 'background' }], false])
    give()
    await turn
  })

  it('is a turn of the event loop where a browser knows no background', async () => {
    vi.stubGlobal('scheduler', undefined)
    const order: string[] = []
    const turn = spareTurn().then(() => order.push('turn'))
    await Promise.resolve().then(() => order.push('at once'))
    await turn
    expect(order).toEqual(['at once', 'turn'])
  })
})

describe('an idle page', () => {
  it.each([
    ['no longer than it is told', 150, { timeout: 150 }],
    ['as long as it takes', undefined, {}],
  ])('is waited for %s', async (_name, latestMs, options) => {
    const asked: unknown[] = []
    vi.stubGlobal('requestIdleCallback', (resolve: () => void, told: unknown) => {
      asked.push(told)
      resolve()
    })
    await pageIdle(latestMs)
    expect(asked).toEqual([options])
  })

  it('is taken for idle after a moment where a browser cannot tell', async () => {
    vi.useFakeTimers()
    vi.stubGlobal('requestIdleCallback', undefined)
    let isIdle = false
    void pageIdle().then(() => (isIdle = true))
    await vi.advanceTimersByTimeAsync(49)
    expect(isIdle).toBe(false)
    await vi.advanceTimersByTimeAsync(1)
    expect(isIdle).toBe(true)
  })
})
