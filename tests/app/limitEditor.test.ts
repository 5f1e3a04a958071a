import { mount, type VueWrapper } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { defineComponent, h } from 'vue'
import type { PowerLimit } from '#core/rules'
import EditGrid from '~/components/fields/EditGrid.vue'
import LimitEditor from '~/components/rules/LimitEditor.vue'
import LimitRanges from '~/components/rules/LimitRanges.vue'
import ScalarEditor from '~/components/rules/ScalarEditor.vue'

/** Stands in for a field or a button: shows its label or its slot, and hands clicks on. */
const standIn = (name: string, tag = 'div') =>
  defineComponent({
    name,
    props: {
      modelValue: { type: null, default: null },
      label: { type: String, default: '' },
      items: { type: Array, default: () => [] },
    },
    emits: ['update:modelValue'],
    setup:
      (props, { slots }) =>
      () =>
        h(tag, slots.default?.() ?? props.label),
  })
const global = {
  components: {
    EditGrid,
    LimitEditor,
    LimitRanges,
    VSelect: standIn('VSelect'),
    NumberField: standIn('NumberField'),
    VBtn: standIn('VBtn', 'button'),
    VIcon: standIn('VIcon'),
  },
}

const edit = (limit: PowerLimit) => mount(LimitEditor, { props: { limit }, global })
type Editor = Pick<VueWrapper, 'findAllComponents' | 'emitted'>
const set = (editor: Editor, label: string, value: unknown, at = 0) => {
  const fields = [
    ...editor.findAllComponents({ name: 'NumberField' }),
    ...editor.findAllComponents({ name: 'VSelect' }),
  ].filter(field => field.props('label') === label)
  fields[at]!.vm.$emit('update:modelValue', value)
}
const last = (editor: Editor) => editor.emitted('change')!.at(-1)![0]

describe('LimitEditor', () => {
  it('changes a figure, in the unit it is shown in', () => {
    const editor = edit({ kind: 'absolute', powerW: 25e-6 })
    set(editor, 'Power', 50)
    expect(last(editor)).toEqual({ kind: 'absolute', powerW: 50e-6 })
  })

  it('changes the kind and keeps what can be kept', () => {
    const editor = edit({ kind: 'relative', attenuationDb: 40 })
    set(editor, 'Limit', 'not-below')
    expect(last(editor)).toEqual({
      kind: 'not-below',
      powerW: 10e-6,
      limit: { kind: 'relative', attenuationDb: 40 },
    })
    set(editor, 'Limit', 'strictest')
    expect(last(editor)).toMatchObject({
      kind: 'strictest',
      of: [{ kind: 'relative', attenuationDb: 40 }, { kind: 'absolute' }],
    })
    for (const kind of [
      'absolute',
      'offset-plus-log-power',
      'loosest',
      'by-emission',
      'mask',
      'slope',
    ] as const) {
      set(editor, 'Limit', kind)
      expect(last(editor)).toMatchObject({ kind })
    }
  })

  it('edits a limit inside another, adds and removes', async () => {
    const editor = edit({
      kind: 'strictest',
      of: [
        { kind: 'absolute', powerW: 25e-6 },
        { kind: 'relative', attenuationDb: 40 },
      ],
    })
    set(editor, 'Below the carrier', 50)
    expect(last(editor)).toEqual({
      kind: 'strictest',
      of: [
        { kind: 'absolute', powerW: 25e-6 },
        { kind: 'relative', attenuationDb: 50 },
      ],
    })
    await editor
      .findAll('button')
      .find(button => button.text() === 'Add a limit')!
      .trigger('click')
    expect(last(editor)).toMatchObject({ of: [{}, {}, { kind: 'relative', attenuationDb: 60 }] })
    await editor
      .findAll('button')
      .find(button => button.attributes('aria-label') === 'Remove this limit')!
      .trigger('click')
    expect(last(editor)).toEqual({ kind: 'strictest', of: [{ kind: 'relative', attenuationDb: 40 }] })
  })

  it('edits masks in kHz or percent, and ranges of frequency', async () => {
    const mask = edit({
      kind: 'mask',
      unit: 'Hz',
      steps: [{ from: 12_500, to: 25_000, limit: { kind: 'relative', attenuationDb: 35 } }],
    })
    set(mask, 'To', 30)
    expect(last(mask)).toMatchObject({ steps: [{ from: 12_500, to: 30_000 }] })
    await mask
      .findAll('button')
      .find(button => button.text() === 'Add a step')!
      .trigger('click')
    expect(last(mask)).toMatchObject({ steps: [{}, { from: 25_000, to: 50_000 }] })
    const ranges = edit({
      kind: 'by-emission',
      segments: [{ fromHz: 9e3, toHz: 1e9, limit: { kind: 'absolute', powerW: 1e-6 } }],
    })
    set(ranges, 'From', 30e6)
    expect(last(ranges)).toMatchObject({ segments: [{ fromHz: 30e6 }] })
    await ranges
      .findAll('button')
      .find(button => button.text() === 'Add a range')!
      .trigger('click')
    expect(last(ranges)).toMatchObject({ segments: [{}, { fromHz: 1e9, toHz: 2e9 }] })
  })
})

describe('ScalarEditor', () => {
  it('changes kind, figure and unit', () => {
    const editor = mount(ScalarEditor, {
      props: { limit: { kind: 'at-most', value: 5, unit: 'kHz' } },
      global,
    })
    set(editor, 'Limit', 'within')
    expect(last(editor)).toEqual({ kind: 'within', value: 5, to: 5, unit: 'kHz' })
    set(editor, 'Figure', 2.5)
    expect(last(editor)).toEqual({ kind: 'at-most', value: 2.5, unit: 'kHz' })
    set(editor, 'Unit', 'ppm')
    expect(last(editor)).toMatchObject({ unit: 'ppm' })
  })
})
