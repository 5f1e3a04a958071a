import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { useKeys } from '~/composables/useKeys'
import { keyList } from '~/keys/keyList'
import { placeAt, places } from '~/keys/places'

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
  const letters = places().flatMap(({ letter }) => letter ?? [])

  it('names every place that has a letter, and no letter twice', () => {
    expect(new Set(letters).size).toBe(letters.length)
    expect(letters.length).toBeGreaterThan(5)
    for (const letter of letters)
      expect(
        keyList().some(({ keys }) => keys.join('') === `G${letter.toUpperCase()}`),
        letter,
      ).toBe(true)
  })

  it('leaves the letters of shelf and tools free', () => {
    for (const letter of ['s', 't']) expect(letters).not.toContain(letter)
  })
})

describe('places', () => {
  it('are grouped: what is prepared first, the outcome last', () => {
    const groups = [...new Set(places().map(({ group }) => group))]
    expect(groups).toEqual(['prepare', 'transmit', 'receive', 'whole', 'outcome'])
    // Groups stand together: none is left and entered again.
    const changes = places().filter((place, i, all) => i > 0 && all[i - 1]!.group !== place.group)
    expect(changes).toHaveLength(groups.length - 1)
  })

  it('are found by the address; a single rulebook belongs to the rulebooks', () => {
    expect(placeAt('/review/x/harmonics')?.title).toBe('Harmonics, spurs')
    expect(placeAt('/review/x/rulebook')?.id).toBe('rulebooks')
    expect(placeAt('/tools')).toBeNull()
  })
})
