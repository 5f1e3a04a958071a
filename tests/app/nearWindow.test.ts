import { mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, inject, nextTick, provide } from 'vue'
import NearWindow from '~/components/report/NearWindow.vue'
import { breathe } from '~/composables/breathe'
import { oneATurn } from '~/composables/oneATurn'
import { provideReveal, useReveal } from '~/composables/useReveal'

/** What a part of a page is told of where it is; the test says it. */
type Told = (entries: { isIntersecting: boolean }[]) => void

/** By the text of each part’s host: how it is told. */
let told: { host: Element; tell: Told }[]

beforeEach(() => {
  told = []
  vi.stubGlobal(
    'IntersectionObserver',
    class {
      private readonly tell: Told
      constructor(tell: Told) {
        this.tell = tell
      }
      observe(host: Element): void {
        told.push({ host, tell: this.tell })
      }
      disconnect(): void {}
      unobserve(): void {}
    },
  )
  // Nuxt brings these in by itself.
  for (const [name, one] of Object.entries({ oneATurn, useReveal, provide, inject })) vi.stubGlobal(name, one)
})
let mounted: VueWrapper | null = null
afterEach(() => {
  mounted?.unmount()
  vi.unstubAllGlobals()
})

function pageOf(count: number, whole = false) {
  let reveal!: ReturnType<typeof provideReveal>
  const Page = defineComponent(() => {
    reveal = provideReveal()
    return () =>
      Array.from({ length: count }, (_unused, i) =>
        h(NearWindow, { key: i, estimatePx: 100 + i, whole }, { default: () => h('p', `part ${i}`) }),
      )
  })
  const page = mount(Page, { attachTo: document.body })
  mounted = page
  const words = () => page.findAll('p').map(one => one.text())
  const say = (part: number, isIntersecting: boolean) => told[part]!.tell([{ isIntersecting }])
  return { page, words, say, reveal }
}

describe('a part of a long page', () => {
  it('leaves a gap of its height until the window comes near, and again when it has gone', async () => {
    const { page, words, say } = pageOf(2)
    await nextTick()
    const heights = () => page.findAll('[style]').map(one => (one.element as HTMLElement).style.height)
    expect([words(), heights()]).toEqual([[], ['100px', '101px']])
    say(1, true)
    await vi.waitFor(() => expect(words()).toEqual(['part 1']))
    expect(heights()).toEqual(['100px'])
    say(1, false)
    await nextTick()
    expect(words()).toEqual([])
  })

  it('is drawn in a turn of its own, where several come near at once', async () => {
    const { words, say } = pageOf(3)
    await nextTick()
    for (const part of [0, 1, 2]) say(part, true)
    const counts: number[] = []
    for (let i = 0; i < 40 && words().length < 3; i++) {
      await breathe()
      counts.push(words().length)
    }
    expect(words()).toEqual(['part 0', 'part 1', 'part 2'])
    const grown = counts.map((count, i) => count - (counts[i - 1] ?? 0))
    expect(Math.max(...grown)).toBe(1)
  })

  it('is not drawn at all when the window has gone before its turn', async () => {
    const { words, say } = pageOf(2)
    await nextTick()
    say(0, true)
    say(1, true)
    say(1, false)
    for (let i = 0; i < 20; i++) await breathe()
    expect(words()).toEqual(['part 0'])
  })

  it('always stands on a short page, and on paper', async () => {
    expect(pageOf(3, true).words()).toHaveLength(3)
    mounted?.unmount()
    const { words, reveal } = pageOf(3)
    await nextTick()
    expect(words()).toEqual([])
    expect(await reveal.all()).toBe(true)
    expect(words()).toHaveLength(3)
    reveal.none()
    await nextTick()
    expect(words()).toEqual([])
  })
})
