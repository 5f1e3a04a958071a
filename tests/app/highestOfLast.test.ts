import { describe, expect, it } from 'vitest'
import { effectScope, nextTick, shallowRef } from 'vue'
import { useHighestOfLast } from '~/stations/sensitivity/useHighestOfLast'

describe('the level against clipping', () => {
  it('is held for as many reports as asked, then falls, and begins anew', async () => {
    const report = shallowRef<{ peakDb: number } | null>(null)
    const scope = effectScope()
    const { highest } = scope.run(() => useHighestOfLast(() => report.value, { reports: 3 }))!
    const after = async (peakDb: number | null) => {
      report.value = peakDb === null ? null : { peakDb }
      await nextTick()
      return highest.value
    }
    expect(highest.value).toBeNull()
    expect(await after(-20)).toBe(-20)
    expect(await after(-2)).toBe(-2)
    expect(await after(-30)).toBe(-2)
    expect(await after(-31)).toBe(-2)
    expect(await after(-32)).toBe(-30)
    expect(await after(null)).toBeNull()
    expect(await after(-40)).toBe(-40)
    scope.stop()
  })
})
