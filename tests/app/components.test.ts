import type { Slot } from '#core/step'
import { limitWords } from '#core/judging'
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Verdict } from '#core/decision'
import { budget, contribution } from '#core/uncertainty'
import EntryField from '~/components/fields/EntryField.vue'
import SlotField from '~/components/fields/SlotField.vue'
import { evaluateLimit, rulebookById } from '#core/rules'
import BudgetPanel from '~/components/run/BudgetPanel.vue'
import WhyPanel from '~/components/run/WhyPanel.vue'
import MarginStrip from '~/components/verdict/MarginStrip.vue'
import VerdictMark from '~/components/verdict/VerdictMark.vue'
import VerdictWord from '~/components/verdict/VerdictWord.vue'
import { lampsFrom } from '~/composables/useLamps'
import { isOnControl, isTyping } from '~/keys/isTyping'
import { harmonic } from '../support/bench'

const global = { components: { VerdictMark, EntryField } }
const verdict = (change: Partial<Verdict> = {}): Verdict => ({
  state: 'inside',
  unit: 'dB',
  perStripDb: 1,
  margin: 15.5,
  range: 1.7,
  marginLow: 13.8,
  marginHigh: 17.2,
  probabilityComplies: 1,
  why: null,
  isBound: false,
  form: 'three',
  ...change,
})

describe('MarginStrip', () => {
  it('puts its limit at 64 % and its mark to the left when inside', () => {
    const strip = mount(MarginStrip, { props: { verdict: verdict() }, global })
    expect(strip.attributes('style')).toContain('--limit: 64.00%')
    const place = Number.parseFloat(strip.find('.seat').attributes('x')!)
    expect(place).toBeGreaterThan(0)
    expect(place).toBeLessThan(64)
    const [from, to] = ['x1', 'x2'].map(end =>
      Number.parseFloat(strip.find('.whisker line').attributes(end)!),
    )
    expect(from).toBeLessThan(place)
    expect(to).toBeGreaterThan(place)
    expect(strip.attributes('aria-label')).toBe('Inside the limit by 15.5 dB, range ±1.7\u00a0dB.')
  })

  it('has no mark where nothing was measured', () => {
    const strip = mount(MarginStrip, {
      props: { verdict: verdict({ state: 'not-covered', margin: null }) },
      global,
    })
    expect(strip.find('.seat').exists()).toBe(false)
    expect(strip.attributes('aria-label')).toContain('nothing was measured')
  })

  it('has no whisker without a range', () =>
    expect(
      mount(MarginStrip, {
        props: { verdict: verdict({ range: null, marginLow: null, marginHigh: null }) },
        global,
      })
        .find('.whisker')
        .exists(),
    ).toBe(false))
})

describe('VerdictWord', () => {
  it.each(['inside', 'too-close', 'outside', 'not-covered', 'no-figure', 'observation'] as const)(
    'shows %s as a shape of its own and as words',
    state => {
      const word = mount(VerdictWord, { props: { state, words: 'So it is' }, global })
      expect(word.text()).toBe('So it is')
      expect(word.find('svg').classes()).toContain(state)
      expect(word.find('svg').element.children.length).toBe(1)
    },
  )
})

const levelSlot: Slot = {
  id: 'carrier',
  kind: { is: 'carrier' },
  label: 'carrier',
  frequencyHz: 146.52e6,
  field: { as: 'level' },
  role: 'instrument',
}

describe('SlotField, for a level', () => {
  const field = (change: Record<string, unknown> = {}) =>
    mount(SlotField, {
      props: { target: levelSlot, reading: null, bareUnit: 'W', label: 'Reading', large: true, ...change },
      global,
    })

  it('shows how it is understood before Enter, and sends it on as a draft', async () => {
    const one = field()
    await one.find('input').setValue('850 mW')
    expect(one.find('.preview').text()).toBe('+29.29\u00a0dBm = 850\u00a0mW')
    expect(one.emitted('draft')?.at(-1)?.[0]).toMatchObject({ text: '850 mW', seen: { unit: 'mW' } })
    expect(one.emitted('keep')).toBeUndefined()
  })

  it('keeps on Enter, once', async () => {
    const one = field()
    await one.find('input').setValue('4,37')
    await one.find('input').trigger('keydown', { key: 'Enter' })
    await one.find('input').trigger('blur')
    expect(one.emitted('keep')).toHaveLength(1)
    expect(one.emitted('keep')?.[0]?.[0]).toMatchObject({ text: '4,37', seen: { value: 4.37, unit: 'W' } })
  })

  it('keeps what was typed and left', async () => {
    const one = field()
    await one.find('input').setValue('4.4')
    await one.find('input').trigger('blur')
    expect(one.emitted('keep')).toHaveLength(1)
  })

  it('refuses the ambiguous in words and takes the offer that is pressed', async () => {
    const one = field()
    await one.find('input').setValue('1,234')
    await one.find('input').trigger('keydown', { key: 'Enter' })
    expect(one.find('[role=alert]').text()).toContain('Which is it?')
    await one.findAll('.offer')[0]!.trigger('click')
    expect(one.emitted('keep')?.[0]?.[0]).toMatchObject({ seen: { value: 1.234 } })
  })

  it('goes on at an unchanged reading, back from an empty field, and gives up on Escape', async () => {
    const kept = field({ reading: harmonic(2, '-49'), bareUnit: 'dBm' })
    await kept.find('input').trigger('keydown', { key: 'Enter' })
    expect(kept.emitted('goOn')).toHaveLength(1)
    await kept.find('input').setValue('-50')
    await kept.find('input').trigger('keydown', { key: 'Escape' })
    expect(kept.find('input').element.value).toBe('-49')
    const empty = field()
    await empty.find('input').trigger('keydown', { key: 'Backspace' })
    expect(empty.emitted('goBack')).toHaveLength(1)
  })

  it('puts the old reading back when the field was emptied', async () => {
    const kept = field({ reading: harmonic(2, '-49'), bareUnit: 'dBm' })
    await kept.find('input').setValue('')
    await kept.find('input').trigger('keydown', { key: 'Enter' })
    expect(kept.find('input').element.value).toBe('-49')
    expect(kept.emitted('keep')).toBeUndefined()
  })
})

describe('BudgetPanel', () => {
  it('lists the contributions, largest first, with what is assumed', () => {
    const rect = (label: string, halfWidthDb: number, assumed = false) =>
      contribution({
        id: label,
        group: 'part',
        label,
        distribution: 'rectangular',
        halfWidth: halfWidthDb,
        assumed,
      })
    const panel = mount(BudgetPanel, {
      props: {
        budget: budget([rect('30 dB pad', 0.5), rect('Pocket analyser', 2, true)]),
        about: '×3 as read',
      },
      global,
    })
    expect(panel.find('h2').text()).toContain('±2.1')
    expect(panel.findAll('tbody tr').map(row => row.text())).toEqual([
      expect.stringMatching(/^Pocket analyser assumed\s*1\.99$/),
      expect.stringMatching(/^30 dB pad\s*0\.50$/),
    ])
    expect(panel.text()).toMatch(/GUM, k = 1\.96\s*±2\.3/)
    expect(panel.find('.help').text()).toContain('Pocket analyser: measure this path')
  })
})

describe('lamps', () => {
  const check = (severity: 'ok' | 'danger' | 'caution', lamp: string | null) => ({
    id: lamp ?? 'x',
    severity,
    title: '',
    text: '',
    lamp,
    partId: null,
  })
  it('show the gravest with a lamp, three at most, and the supply', () => {
    expect(
      lampsFrom(
        [
          check('danger', 'Pad too small'),
          check('ok', null),
          check('ok', 'a'),
          check('ok', 'b'),
          check('ok', 'c'),
        ],
        'battery full',
      ).map(({ text }) => text),
    ).toEqual(['Pad too small', 'a', 'b', 'battery full'])
    expect(lampsFrom([], '')).toEqual([{ text: 'Supply not recorded', severity: 'note' }])
    expect(lampsFrom([], null)).toEqual([])
  })
})

describe('keys', () => {
  function keyOn(html: string): KeyboardEvent {
    document.body.innerHTML = html
    const event = new KeyboardEvent('keydown', { key: 'n', bubbles: true })
    document.body.querySelector('[data-at]')!.dispatchEvent(event)
    return event
  }

  it('mean text in fields, lists and dialogs, and commands elsewhere', () => {
    expect(isTyping(keyOn('<input data-at>'))).toBe(true)
    expect(isTyping(keyOn('<div role="dialog"><span data-at></span></div>'))).toBe(true)
    expect(isTyping(keyOn('<p data-at></p>'))).toBe(false)
    expect(isOnControl(keyOn('<button><b data-at></b></button>'))).toBe(true)
    expect(isOnControl(keyOn('<p data-at></p>'))).toBe(false)
  })
})

describe('SlotField, for a figure', () => {
  const field = (change: Record<string, unknown> = {}) =>
    mount(SlotField, {
      props: {
        target: {
          ...levelSlot,
          id: 'tone',
          field: { as: 'figure', unit: 'Hz', bareScale: 1000, min: 0, max: 100_000 },
        },
        reading: null,
        bareUnit: 'W',
        label: 'Deviation',
        ...change,
      },
      global,
    })

  it('takes a bare number in the field’s usual unit, and another where it is said', async () => {
    const one = field()
    const input = one.find('input')
    await input.trigger('focus')
    await input.setValue('2,38')
    expect(one.find('.preview').text()).toBe('2.380\u00a0kHz')
    await input.trigger('keydown', { key: 'Enter' })
    expect(one.emitted('keep')?.[0]?.[0]).toMatchObject({
      text: '2,38',
      seen: { value: 2380, resolution: 10 },
    })
    await input.setValue('850 Hz')
    expect(one.emitted('draft')?.at(-1)?.[0]).toMatchObject({ seen: { value: 850 } })
  })

  it('refuses what the field cannot hold', async () => {
    const one = field()
    await one.find('input').setValue('3 V')
    await one.find('input').trigger('keydown', { key: 'Enter' })
    expect(one.find('[role=alert]').text()).toContain('not a unit for this field')
    expect(one.emitted('keep')).toBeUndefined()
  })
})

describe('WhyPanel', () => {
  it('tells what governs, what the others would have asked, each rulebook, and how probable it is', () => {
    const carrier = { frequencyHz: 146.52e6, powerW: 5 }
    const each = ['us-amateur', 'itu-spurious'].map(id => ({
      limit: evaluateLimit(rulebookById(id), carrier),
      verdict: verdict(),
      words: 'Inside by 15.5',
      ratio: null,
    }))
    const panel = mount(WhyPanel, {
      props: {
        limit: each[0]!.limit,
        title: limitWords(each[0]!.limit),
        carrierWords: 'as read',
        each,
        probability: 0.767,
      },
      global: { components: { VerdictMark, VerdictWord } },
    })
    expect(panel.find('h2').text()).toContain('Why −16.0')
    expect(panel.findAll('tbody tr').map(row => row.classes().includes('governs'))).toEqual([
      true,
      false,
      false,
    ])
    expect(panel.text()).toContain('76.7 %')
    expect(panel.text()).toContain('ITU spurious, category A, −13.0')
    expect(panel.text()).toContain('check the current text')
  })
})
