import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { useKeys } from '~/composables/useKeys'
import { KEY_LIST } from '~/keys/keyList'
import { PLACES } from '~/keys/places'

function press(key: string, target: EventTarget = window): void {
  target.dispatchEvent(new KeyboardEvent('keydown', { key, code: `Key${key.toUpperCase()}`, bubbles: true }))
}

describe('keys', () => {
  const note = vi.fn()
  const go = vi.fn()
  const component = defineComponent({
    setup() {
      useKeys({ o: note, 'g o': go })
      return () => h('input')
    },
  })
  let mounted: ReturnType<typeof mount>

  beforeEach(() => {
    vi.useFakeTimers()
    note.mockClear()
    go.mockClear()
    mounted = mount(component, { attachTo: document.body })
  })

  afterEach(() => {
    mounted.unmount()
    vi.useRealTimers()
  })

  it('a letter is a command of its own', () => {
    press('o')
    expect(note).toHaveBeenCalledTimes(1)
    expect(go).not.toHaveBeenCalled()
  })

  it('right after G it belongs to “go to” and to nothing else', () => {
    press('g')
    press('o')
    expect(go).toHaveBeenCalledTimes(1)
    expect(note).not.toHaveBeenCalled()
  })

  it('is silent while somebody types', () => {
    press('o', mounted.element)
    expect(note).not.toHaveBeenCalled()
  })

  it('goes with the component', () => {
    mounted.unmount()
    press('o')
    expect(note).not.toHaveBeenCalled()
    mounted = mount(component)
  })
})

describe('the list of keys', () => {
  it('names every place, and no letter twice', () => {
    const letters = PLACES.map(({ key }) => key)
    expect(new Set(letters).size).toBe(letters.length)
    for (const { key, title } of PLACES)
      expect(
        KEY_LIST.some(({ keys }) => keys.join('') === `G${key.toUpperCase()}`),
        title,
      ).toBe(true)
  })

  it('leaves the letters of shelf and tools free', () => {
    for (const letter of ['s', 't']) expect(PLACES.map(({ key }) => key as string)).not.toContain(letter)
  })
})
