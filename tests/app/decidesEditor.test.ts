import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { defineComponent, h } from 'vue'
import { copyRulebook, type Rulebook, rulebookById, validateRulebook } from '#core/rules'
import DecidesEditor from '~/components/rules/DecidesEditor.vue'

const standIn = (name: string) =>
  defineComponent({
    name,
    props: {
      modelValue: { type: null, default: null },
      label: { type: String, default: '' },
      errorMessages: { type: String, default: '' },
    },
    emits: ['update:modelValue', 'click'],
    setup: props => () => h('div', `${props.label} ${props.errorMessages}`),
  })
const components = Object.fromEntries(
  ['VSelect', 'VTextField', 'VBtn', 'VIcon'].map(name => [name, standIn(name)]),
)

function edited(book: Rulebook) {
  const editor = mount(DecidesEditor, { props: { book, locked: false }, global: { components } })
  const field = (kind: string, label: string) =>
    editor.findAllComponents({ name: kind }).find(one => one.props('label') === label)!
  return {
    editor,
    set: (kind: string, label: string, value: unknown) =>
      field(kind, label).vm.$emit('update:modelValue', value),
    /** The rulebook as the last change makes it. */
    changed(): Rulebook {
      const [, recipe] = editor.emitted('change')!.at(-1) as [string, (draft: Rulebook) => void]
      const draft = structuredClone(book)
      recipe(draft)
      return draft
    },
  }
}

const silent = { ...copyRulebook(rulebookById('us-land-mobile'), 'mine'), decides: undefined }
const deciding: Rulebook = {
  ...silent,
  decides: { rule: 'value-against-limit', largest: [{ about: 'unwanted', value: 4, unit: 'dB' }] },
}

describe('how a rulebook of one’s own decides', () => {
  it('is switched on with nothing said of the bench, and off again', () => {
    const off = edited(silent)
    expect(off.editor.text()).not.toContain('At most ±')
    off.set('VSelect', 'A figure is judged', true)
    expect(off.changed().decides).toEqual({ rule: 'value-against-limit', largest: [] })
    const on = edited(deciding)
    on.set('VSelect', 'A figure is judged', false)
    expect(on.changed()).not.toHaveProperty('decides')
  })

  it('names the largest uncertainty of a quantity once, in its unit', async () => {
    const on = edited(deciding)
    expect(on.editor.text()).toContain('±4.00 dB')
    on.set('VSelect', 'Of', 'deviation')
    on.set('VTextField', 'At most ±', '5')
    on.set('VSelect', 'Counted in', '%')
    await on.editor.find('form').trigger('submit')
    const book = on.changed()
    expect(book.decides!.largest).toEqual([
      { about: 'unwanted', value: 4, unit: 'dB' },
      { about: 'deviation', value: 5, unit: '%' },
    ])
    expect(() => validateRulebook(book)).not.toThrow()
    on.set('VSelect', 'Of', 'unwanted')
    on.set('VTextField', 'At most ±', '6')
    on.set('VSelect', 'Counted in', 'dB')
    await on.editor.find('form').trigger('submit')
    expect(on.changed().decides!.largest).toEqual([{ about: 'unwanted', value: 6, unit: 'dB' }])
  })

  it('refuses in words what is no figure, and changes nothing', async () => {
    const on = edited(deciding)
    on.set('VTextField', 'At most ±', 'much')
    await on.editor.find('form').trigger('submit')
    expect(on.editor.emitted('change')).toBeUndefined()
    expect(on.editor.text()).toMatch(/At most ± .+/)
  })
})
