import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { defineComponent, h } from 'vue'
import type { LimitClause } from '#core/rules'
import ClauseEditor from '~/components/rules/ClauseEditor.vue'

const standIn = (name: string) =>
  defineComponent({
    name,
    props: {
      modelValue: { type: null, default: null },
      label: { type: String, default: '' },
      items: { type: Array, default: () => [] },
    },
    emits: ['update:modelValue'],
    setup: props => () => h('div', props.label),
  })
const components = Object.fromEntries(
  [
    ...['VSelect', 'VBtn', 'VCheckbox', 'CommitField', 'NumberField', 'EditGrid'],
    ...['LimitEditor', 'ScalarEditor'],
  ].map(name => [name, standIn(name)]),
)

const clause = (more: Partial<LimitClause>): LimitClause => ({
  id: 'c1',
  clause: '4.1',
  about: 'sensitivity',
  when: {},
  basis: 'conducted',
  limit: { kind: 'at-most', value: -107, unit: 'dBm' },
  recalled: true,
  confidence: 'M',
  note: '',
  ...more,
})

/** The selects of an editor by label, and what a choice in one makes of the clause. */
function edited(given: LimitClause) {
  const editor = mount(ClauseEditor, { props: { clause: given, disabled: false }, global: { components } })
  const select = (label: string) =>
    editor.findAllComponents({ name: 'VSelect' }).find(one => one.props('label') === label)
  return {
    select,
    choose(label: string, value: unknown): LimitClause {
      select(label)!.vm.$emit('update:modelValue', value)
      const [, recipe] = editor.emitted('change')!.at(-1) as [string, (draft: LimitClause) => void]
      const draft = structuredClone(given)
      recipe(draft)
      return draft
    },
  }
}

describe('the editor of a clause', () => {
  it('asks how a figure of a receiver is measured, and of no other', () => {
    const { select } = edited(clause({ when: { methods: ['sinad-20'] } }))
    expect(select('Measured by')!.props('modelValue')).toEqual(['sinad-20'])
    expect(select('Measured by')!.props('items')).toContainEqual({
      value: 'en-300-086',
      title: 'the method of EN 300 086',
    })
    expect(edited(clause({ about: 'frequency-error' })).select('Measured by')).toBeUndefined()
  })

  it('keeps the ways chosen; none is the usual way, as in a clause that never named one', () => {
    const { choose } = edited(clause({}))
    expect(choose('Measured by', ['tia-603', 'sinad-12']).when).toEqual({ methods: ['tia-603', 'sinad-12'] })
    expect(edited(clause({ when: { methods: ['sinad-20'] } })).choose('Measured by', []).when).toEqual({})
  })

  it('does the same for modes and channel spacings', () => {
    const { choose } = edited(clause({ when: { modes: ['FM'] } }))
    expect(choose('Channel spacing', [12_500]).when).toEqual({ modes: ['FM'], channelSpacingHz: [12_500] })
    expect(choose('Modes', []).when).toEqual({})
  })
})
