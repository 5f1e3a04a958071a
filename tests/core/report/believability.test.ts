import { createContext } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { buildReport } from '#core/report'
import { copyRulebook, rulebookById } from '#core/rules'
import { reviewOf } from '../../support/bench'

const STAMP = { version: '0.2.0', at: '24 November 2026' }
const textOf = (review: Parameters<typeof createContext>[0], id: string) =>
  JSON.stringify(
    buildReport(createContext(review), STAMP).sections.find(section => section.id === id)!.blocks,
  ).replaceAll('\u00a0', ' ')

describe('why the bench may be believed', () => {
  it('lists measured paths, pad tests, the control radio and other testers', () => {
    const text = textOf(demoReview().review, 'believability')
    for (const words of [
      '30 dB pad, 2026-11-12',
      '30.16 dB at 293.04 MHz',
      'it is the radio’s own',
      'The bench is believable today',
      'a laboratory’s bench in October',
      'a second club',
      'they agree',
    ])
      expect(text).toContain(words)
  })

  it('says so where nothing was done', () =>
    expect(textOf(reviewOf(), 'believability')).toContain('The ranges rest on data sheets'))
})

describe('the rule section', () => {
  it('states the decision rule with its promise, and every rulebook once', () => {
    const { review } = demoReview()
    const text = textOf({ ...review, settings: { ...review.settings, decisionRule: 'guarded' } }, 'rule')
    expect(text).toContain('one time in forty')
    for (const title of ['US amateur', 'US CB, 27 MHz', 'EU CB, 27 MHz'])
      expect(text.split(`"${title}:`).length).toBe(2)
    expect(text).toContain('recalled from memory')
  })

  it('marks the reviewer’s own as theirs', () => {
    const review = {
      ...demoReview().review,
      ownRulebooks: [copyRulebook(rulebookById('us-amateur'), 'mine')],
    }
    const text = textOf({ ...review, settings: { ...review.settings, rulebookIds: ['mine'] } }, 'rule')
    expect(text).toContain('Reviewer’s own rulebook')
    expect(text).toContain('Copied from us-amateur')
  })
})
