import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { computed, defineComponent, h, nextTick, ref, shallowReactive, shallowRef, watch } from 'vue'
import InTurn from '~/components/shell/InTurn.vue'
import OrderEntry from '~/components/shell/OrderEntry.vue'
import SavedMark from '~/components/shell/SavedMark.vue'
import VerdictMark from '~/components/verdict/VerdictMark.vue'
import { breathe } from '~/composables/breathe'
import { oneATurn } from '~/composables/oneATurn'
import type { SaveState } from '~/composables/useReviewSaving'
import { useStable } from '~/composables/useStable'

describe('a value that is kept', () => {
  it('is the very same for as long as it says the same, and tells nobody', async () => {
    const lines = shallowRef([{ words: 'Pad 30 dB', level: { dbm: 36.99 } }])
    const kept = useStable(() => lines.value.map(line => ({ ...line, level: { ...line.level } })))
    let told = 0
    watch(kept, () => (told += 1))
    const first = kept.value
    lines.value = [...lines.value]
    await nextTick()
    expect(kept.value).toBe(first)
    expect(told).toBe(0)
    lines.value = [{ words: 'Pad 30 dB', level: { dbm: 37 } }]
    await nextTick()
    expect(kept.value).not.toBe(first)
    expect(kept.value[0]!.level.dbm).toBe(37)
    expect(told).toBe(1)
  })

  it('may be null first, and none later', () => {
    const step = shallowRef<string | null>(null)
    const kept = useStable(() => step.value)
    expect(kept.value).toBeNull()
    step.value = 'carrier'
    expect(kept.value).toBe('carrier')
    step.value = null
    expect(kept.value).toBeNull()
  })
})

describe('turns', () => {
  it('are each their own for those who ask at once, in the order they ask', async () => {
    const seen: string[] = []
    const asked = ['a', 'b'].map(async name => {
      await oneATurn()
      seen.push(name)
    })
    await asked[0]
    // Whatever can still be done in this turn.
    for (let i = 0; i < 50; i++) await null
    expect(seen).toEqual(['a'])
    await asked[1]
    expect(seen).toEqual(['a', 'b'])
  })

  it('hold back what stands in them, the earlier before the later', async () => {
    const page = mount({
      render: () => [
        h('p', 'head'),
        h(InTurn, null, { default: () => h('p', 'second') }),
        h(InTurn, { turn: 3 }, { default: () => h('p', 'last') }),
      ],
    })
    const words = () => page.findAll('p').map(one => one.text())
    expect(words()).toEqual(['head'])
    for (let i = 0; i < 20 && words().length < 2; i++) await breathe()
    expect(words()).toEqual(['head', 'second'])
    for (let i = 0; i < 20 && words().length < 3; i++) await breathe()
    expect(words()).toEqual(['head', 'second', 'last'])
  })
})

describe('the mark of saving', () => {
  const at = new Date(2026, 0, 5, 9, 7, 3)
  it.each<[SaveState, string]>([
    [{ kind: 'saved', at: null }, 'Saved'],
    [{ kind: 'saved', at }, 'Saved 09:07:03'],
    [{ kind: 'saving' }, 'Saving'],
    [{ kind: 'failed', message: 'full' }, 'Not saved'],
  ])('says %o as “%s”', (saveState, words) =>
    expect(mount(SavedMark, { props: { document: { saveState } } }).text()).toBe(words),
  )

  it('is drawn anew by itself: what it stands in is not', async () => {
    const document = shallowReactive<{ saveState: SaveState }>({ saveState: { kind: 'saved', at: null } })
    let drawn = 0
    const header = mount(
      defineComponent(() => () => {
        drawn += 1
        return h('header', [h(SavedMark, { document })])
      }),
    )
    document.saveState = { kind: 'saving' }
    await nextTick()
    expect(header.text()).toBe('Saving')
    expect(drawn).toBe(1)
  })
})

describe('an entry of the order of work', () => {
  const links: string[] = []
  const NuxtLink = defineComponent({
    props: { to: { type: [String, Object], required: true } },
    setup:
      ({ to }, { slots }) =>
      () => {
        links.push(JSON.stringify(to))
        return h('a', slots.default?.())
      },
  })
  const global = { components: { NuxtLink, VerdictMark } }

  it('is drawn anew only when its own mark changed', async () => {
    const marks = ref({ power: '0/3', harmonics: '0/9' })
    const to = useStable(() => ({ path: '/review/a/power', query: { set: 's' } }))
    const entry = (title: string, words: string) =>
      h(OrderEntry, { key: title, to: to.value, title, isHere: false, state: null, words })
    const all = computed(() => Object.entries(marks.value))
    const list = mount(() => all.value.map(([title, words]) => entry(title, words)), { global })
    expect(links).toHaveLength(2)
    marks.value = { ...marks.value, power: '1/3' }
    await nextTick()
    expect(list.text()).toContain('1/3')
    expect(links).toHaveLength(3)
  })

  it('says where we are, and shows an open ring until something was judged', async () => {
    const entry = mount(OrderEntry, {
      props: { to: '/', title: 'Power', isHere: true, state: null, words: '0/3' },
      global,
    })
    expect(entry.attributes('aria-current')).toBe('page')
    expect(entry.find('svg.open').exists()).toBe(true)
    await entry.setProps({ state: 'inside', isHere: false })
    expect(entry.attributes('aria-current')).toBeUndefined()
    expect(entry.find('svg.open').exists()).toBe(false)
  })
})
