import { mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, describe, expect, it } from 'vitest'
import { defineComponent, h, nextTick, shallowRef, useTemplateRef } from 'vue'
import { breathe } from '~/composables/breathe'
import { useVirtualLines } from '~/composables/useVirtualLines'

const LINE_PX = 40

/** A list that draws what it is told to. */
function listOf(count: number) {
  const lines = shallowRef(Array.from({ length: count }, (_unused, i) => `line ${i}`))
  const List = defineComponent(() => {
    const host = useTemplateRef<HTMLElement>('host')
    const { shown, beforePx, afterPx, isVirtual } = useVirtualLines(
      host,
      () => lines.value,
      () => LINE_PX,
    )
    return () =>
      h('ul', { ref: 'host', class: { virtual: isVirtual.value } }, [
        h('li', { class: 'before', style: { height: `${beforePx.value}px` } }),
        ...shown.value.map(({ line, index }) => h('li', { key: line, 'data-index': index }, line)),
        h('li', { class: 'after', style: { height: `${afterPx.value}px` } }),
      ])
  })
  return { lines, list: mount(List, { attachTo: document.body }) }
}

const drawn = (list: VueWrapper) => list.findAll('[data-index]').map(one => one.text())
const heightOf = (list: VueWrapper, part: 'before' | 'after') =>
  Number.parseFloat((list.find(`.${part}`).element as HTMLElement).style.height)

let mounted: VueWrapper | null = null
afterEach(() => mounted?.unmount())

describe('the lines of a list', () => {
  it('are all drawn at once where there are 400 of them, and not where there is one more', () => {
    const short = listOf(400)
    expect(drawn(short.list)).toHaveLength(400)
    expect(short.list.classes()).not.toContain('virtual')
    short.list.unmount()
    const long = listOf(401)
    mounted = long.list
    expect(long.list.classes()).toContain('virtual')
    expect(drawn(long.list).length).toBeLessThan(100)
  })

  it('come six a turn at first, then all near the window and a dozen beyond it; the rest is a gap', async () => {
    const { list } = listOf(1000)
    mounted = list
    const counts: number[] = []
    for (let i = 0; i < 30; i++) {
      await nextTick()
      counts.push(drawn(list).length)
      await breathe()
    }
    const grown = counts.map((count, i) => count - (counts[i - 1] ?? 0))
    expect(Math.min(...grown)).toBeGreaterThanOrEqual(0)
    expect(counts[0]).toBeLessThanOrEqual(6)
    // Until the turns are over, which are six; what lies beyond the window comes when they are.
    const first = grown.slice(0, counts.findIndex(count => count > 18) + 1)
    expect(first.length).toBeGreaterThan(2)
    expect(Math.max(...first)).toBe(6)
    const near = Math.ceil(window.innerHeight / LINE_PX) + 12
    expect(counts.at(-1)).toBeGreaterThanOrEqual(near - 2)
    expect(counts.at(-1)).toBeLessThanOrEqual(near + 2)
    expect(drawn(list)[0]).toBe('line 0')
    expect(heightOf(list, 'before')).toBe(0)
    expect(heightOf(list, 'after')).toBe((1000 - counts.at(-1)!) * LINE_PX)
  })

  it('are those that are left when others go', async () => {
    const { list, lines } = listOf(1000)
    mounted = list
    for (let i = 0; i < 20; i++) await breathe()
    lines.value = lines.value.slice(990)
    await nextTick()
    expect(drawn(list)).toEqual(Array.from({ length: 10 }, (_unused, i) => `line ${990 + i}`))
  })
})
