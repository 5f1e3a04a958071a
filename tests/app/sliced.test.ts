import { describe, expect, it, vi } from 'vitest'
import { effectScope, shallowRef } from 'vue'
import type { Sliced } from '#core/sliced'
import { useSliced } from '~/composables/useSliced'

/** Counts to ten, each step longer than a slice if not told otherwise; tells how far it came. */
function* counting(name: string, walked: string[], stepMs = 15): Sliced<string> {
  for (let i = 0; i < 10; i++) {
    const until = performance.now() + stepMs
    while (performance.now() < until);
    walked.push(`${name}${i}`)
    yield i / 10
  }
  return name
}

function sliced(isSmall: boolean, stepMs?: number) {
  const name = shallowRef<string | null>('a')
  const walked: string[] = []
  const scope = effectScope()
  const { value, share } = scope.run(() =>
    useSliced(() => (name.value === null ? null : { work: counting(name.value, walked, stepMs), isSmall })),
  )!
  return { name, walked, scope, value, share }
}

describe('work in slices', () => {
  it('is done at once where it is small', () => {
    const { name, value, share } = sliced(true, 0)
    expect([value.value, share.value]).toEqual(['a', null])
    name.value = 'b'
    expect(value.value).toBe('b')
    name.value = null
    expect(value.value).toBeNull()
  })

  it('lets the page answer also where it is small and takes long all the same, and then goes on', async () => {
    const { name, value, share, walked } = sliced(true, 40)
    expect(value.value).toBeNull()
    expect(walked.length).toBeLessThan(10)
    expect(share.value).toBe((walked.length - 1) / 10)
    await vi.waitFor(() => expect(value.value).toBe('a'))
    expect([walked.length, share.value]).toEqual([10, null])
    name.value = 'b'
    expect(value.value).toBe('a')
    await vi.waitFor(() => expect(value.value).toBe('b'))
  })

  it('lets the page answer in between, and tells how far it has come', async () => {
    const { value, share, walked } = sliced(false)
    expect(value.value).toBeNull()
    expect(walked.length).toBeLessThan(10)
    await new Promise(resolve => setTimeout(resolve))
    expect(share.value).toBeGreaterThanOrEqual(0)
    await vi.waitFor(() => expect(value.value).toBe('a'))
    expect(share.value).toBeNull()
  })

  it('begins anew when what it rests on changes, and keeps what came of it before until then', async () => {
    const { name, value, walked } = sliced(false)
    await vi.waitFor(() => expect(value.value).toBe('a'))
    name.value = 'b'
    expect(value.value).toBe('a')
    name.value = 'c'
    await vi.waitFor(() => expect(value.value).toBe('c'))
    expect(walked).not.toContain('b9')
  })

  it('ends with the page', async () => {
    const { scope, value, walked } = sliced(false)
    scope.stop()
    await new Promise(resolve => setTimeout(resolve, 300))
    expect(value.value).toBeNull()
    expect(walked.length).toBeLessThan(10)
  })
})
