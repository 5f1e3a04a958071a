import { describe, expect, it } from 'vitest'
import {
  answerSteps,
  governingOf,
  hasFigure,
  noAnswer,
  stepResultOf,
  sumByRulebook,
  withoutFigure,
} from '#core/judging'
import { rulebookById } from '#core/rules'
import {
  judgement,
  plain,
  slotOfId,
  slotResult,
  someStep,
  stepResult,
  verdictOf,
} from '../../support/results'

const inside = verdictOf('inside', 5)
const outside = verdictOf('outside', -1)
const seen = verdictOf('observation')

describe('the rulebook that governs', () => {
  const figure = judgement('limit', inside)
  const worse = judgement('scalar', outside)
  const silent = judgement('no-figure', verdictOf('no-figure'))
  const cannot = judgement('cannot-judge', verdictOf('not-covered'))

  it('is the gravest of those with a figure, else the one that cannot be applied, else the first', () => {
    expect(governingOf([figure, worse, silent])).toBe(worse)
    expect(governingOf([silent, cannot, figure])).toBe(figure)
    expect(governingOf([silent, cannot])).toBe(cannot)
    expect(governingOf([silent, judgement('no-figure', verdictOf('no-figure'))])).toBe(silent)
    // Not covered is graver than inside, but has no figure.
    expect(governingOf([cannot, figure])).toBe(figure)
    const same = judgement('limit', inside)
    expect(governingOf([figure, same])).toBe(figure)
  })

  it('has a figure only where a limit or a scalar stands', () => {
    expect([figure, worse, silent, cannot].map(({ limit }) => hasFigure(limit))).toEqual([
      true,
      true,
      false,
      false,
    ])
  })

  it('without one says no figure in law, or what cannot be done yet', () => {
    expect(withoutFigure(silent.limit, 'not yet')).toMatchObject({
      ...{ words: 'No figure in law', ratio: null },
      verdict: { state: 'no-figure', why: 'a reason' },
    })
    expect(withoutFigure(cannot.limit, 'not yet')).toMatchObject({
      words: 'not yet',
      verdict: { state: 'not-covered', why: 'a reason' },
    })
  })

  it('sums up each of several rulebooks by its own worst, and says nothing of one alone', () => {
    const other = rulebookById('itu-spurious')
    const both = [
      judgement('limit', inside, { words: 'far inside' }),
      judgement('limit', outside, { words: 'just outside' }),
      judgement('limit', verdictOf('inside', 9), { rulebook: other, words: 'well inside' }),
    ]
    expect(sumByRulebook(both)).toEqual([
      { title: rulebookById('eu-land-mobile').title, verdict: outside, words: 'just outside' },
      { title: other.title, verdict: both[2]!.verdict, words: 'well inside' },
    ])
    expect(sumByRulebook(both.slice(0, 2))).toEqual([])
    expect(sumByRulebook([])).toEqual([])
  })
})

describe('what a step comes to', () => {
  const optional = (id: string) => ({ slot: slotOfId(id, { optional: true }) })
  const open = (id: string, state: 'open' | 'out-of-reach' = 'open') =>
    slotResult(id, verdictOf('not-covered'), { state })

  it('is its worst judged slot; what is only seen counts where nothing is judged', () => {
    const result = stepResultOf(someStep(), [
      slotResult('a', inside),
      slotResult('b', outside),
      slotResult('c', seen),
    ])
    expect(result.governs!.slot.id).toBe('b')
    expect(result).toMatchObject({ verdict: outside, words: 'words of b', offers: [], questions: [] })
    expect(result.progress).toEqual({ read: 3, possible: 3 })
    const only = stepResultOf(someStep(), [slotResult('c', seen), slotResult('d', seen)])
    expect(only).toMatchObject({ verdict: seen, words: 'words of c' })
  })

  it('leaves optional slots alone until they are read, and counts only what is needed', () => {
    const unread = slotResult('o', verdictOf('not-covered'), { ...optional('o'), state: 'open' })
    const first = stepResultOf(someStep(), [slotResult('a', inside), unread])
    expect(first).toMatchObject({ verdict: inside, progress: { read: 1, possible: 1 } })
    const read = stepResultOf(someStep(), [slotResult('a', inside), slotResult('o', outside, optional('o'))])
    expect(read).toMatchObject({ verdict: outside, progress: { read: 1, possible: 1 } })
    // A step of nothing but optional slots is still a step.
    const all = stepResultOf(someStep(), [unread])
    expect(all).toMatchObject({ words: 'Not measured', governs: null, progress: { read: 0, possible: 0 } })
    expect(all.verdict.state).toBe('not-covered')
  })

  it('an optional observation does not speak for what is asked and not read', () => {
    const mixed = stepResultOf(someStep(), [open('a'), slotResult('o', seen, optional('o'))])
    expect(mixed.verdict.state).toBe('not-covered')
    expect(mixed.governs!.slot.id).toBe('a')
  })

  it('does not ask for what is out of reach, and takes a summary that says it better', () => {
    const result = stepResultOf(someStep(), [slotResult('a', inside), open('b', 'out-of-reach'), open('c')], {
      questions: [{ slotId: 'a', words: 'Really?' }],
      summary: { verdict: outside, words: 'all in all' },
    })
    expect(result.progress).toEqual({ read: 1, possible: 2 })
    expect(result).toMatchObject({ verdict: outside, words: 'all in all' })
    expect(result.questions).toHaveLength(1)
    const nothing = stepResultOf(someStep(), [open('a')], {
      summary: { verdict: outside, words: 'all in all' },
    })
    expect(nothing.words).toBe('Not measured')
  })
})

describe('what a set comes to', () => {
  it('is the worst of what is judged; a figure without a limit only where none is', () => {
    const silent = verdictOf('no-figure')
    const both = answerSteps(
      [stepResult([slotResult('a', silent), slotResult('b', seen)]), stepResult([slotResult('c', inside)])],
      { without: '' },
    )
    expect(both).toMatchObject({ verdict: inside, words: 'words of c', gap: null, governs: { slotId: 'c' } })
    expect(both.results).toHaveLength(2)
    expect(both.each).toEqual([])
    const unjudged = [stepResult([slotResult('a', silent), slotResult('b', seen)])]
    expect(answerSteps(unjudged, { without: '' }).governs!.slotId).toBe('a')
    expect(answerSteps(unjudged, { without: '', lead: 'b' }).governs!.slotId).toBe('b')
    expect(answerSteps(unjudged, { without: '', lead: 'z' }).governs!.slotId).toBe('a')
  })

  it('says where it governs, and how many steps are not finished', () => {
    const done = stepResult([slotResult('a', inside)])
    const half = stepResult([slotResult('b', outside)], { read: 1, possible: 2 })
    expect(plain(answerSteps([done, half], { without: '' }).detail)).toMatch(
      /^Slot b, 2 m, 154.* MHz; 1 of 2 not finished$/,
    )
    expect(answerSteps([done, done], { without: '' }).detail).not.toContain('not finished')
  })

  it('says what is missing: not on this set, still to measure, left out and why', () => {
    expect(answerSteps([], { without: 'No such band.' })).toMatchObject({
      ...{ gap: 'not-on-set', words: 'Not on this set', each: [], results: [], governs: null, detail: '' },
      verdict: { state: 'not-covered', why: 'No such band.' },
    })
    const open = stepResult([slotResult('a', verdictOf('not-covered'), { state: 'open' })])
    expect(answerSteps([open, open], { without: '' })).toMatchObject({
      ...{ gap: 'open', words: 'Not measured', detail: '2 to measure', results: [open, open] },
      verdict: { why: 'Not measured yet.' },
    })
    const skipped = slotResult('a', verdictOf('not-covered', null, { why: 'Left out: no time' }), {
      state: 'left-out',
    })
    expect(answerSteps([open, stepResult([skipped])], { without: '' })).toMatchObject({
      ...{ gap: 'left-out', words: 'words of a', detail: 'Left out: no time' },
      verdict: { why: 'Left out: no time' },
    })
    expect(noAnswer('open', { why: 'w', words: 'x' })).toMatchObject({ detail: '', results: [], each: [] })
  })
})
