import { createContext } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { findings, findingsInSlices, remarks } from '#core/findings'
import { harmonic, radio, reviewOf, withReadings } from '../../support/bench'

const context = createContext(demoReview().review)
const found = findings(context)
const cell = (question: string, setId: string) =>
  found.rows.find(row => row.question.id === question)!.answers.find(({ set }) => set.id === setId)!.answer

describe('the findings of the demo', () => {
  it('show the invented faults: sample B outside at ×2, the Mini too close at ×3, the control inside', () => {
    expect(cell('clean:2 m', 'trek-b')).toMatchObject({
      verdict: { state: 'outside' },
      governs: { slotId: 'x2' },
    })
    expect(cell('clean:2 m', 'mini')).toMatchObject({
      verdict: { state: 'too-close' },
      governs: { slotId: 'x3' },
    })
    expect(cell('clean:2 m', 'trek-a').verdict.state).toBe('inside')
    expect(cell('clean:2 m', 'c1').verdict.state).toBe('inside')
  })

  it('say what was left out', () => {
    expect(cell('clean:2 m', 'trek-b').detail).toContain('×7 to ×10 out of reach')
    expect(cell('clean:2 m', 'mini').detail).toContain('Low not measured')
    expect(cell('clean:2 m', 'tarnwick').words).toBe('Not on this set')
    expect(cell('watts:low', 'tarnwick').words).toBe('No such level')
    expect(cell('watts:low', 'mini').detail).toContain('of 6 not measured')
  })

  it('come to the same a question at a time, and tell how far they have come', () => {
    const work = findingsInSlices(context)
    const shares: number[] = []
    let step = work.next()
    for (; !step.done; step = work.next()) shares.push(step.value)
    expect(step.value).toEqual(found)
    expect(shares).toEqual(found.rows.map((_row, i) => i / found.rows.length))
  })

  it('have no figure on 70 cm and the yardstick beside it', () => {
    expect(cell('clean:70 cm', 'trek-a').words).toBe('No figure in law')
    expect(cell('clean:70 cm:own', 'trek-a').verdict.state).toBe('not-covered')
  })

  it('notice that two samples disagree, and what is open', () => {
    const said = remarks(found, context)
    expect(said[0]?.text).toContain('sample A is 27')
    expect(said.at(-1)).toMatchObject({
      id: 'open',
      text: expect.stringContaining('M25: harmonics and spurs on 2 m'),
    })
  })

  it('name radios of which the same is open together, of many the first and how many more', () => {
    const { review } = demoReview()
    const sets = Array.from({ length: 20 }, (_unused, i) => ({
      ...review.sets[0]!,
      id: `many-${i}`,
      sample: `${i}`,
    }))
    const many = createContext({ ...review, sets, readings: [], otherFigures: [] })
    const open = remarks(findings(many), many).find(({ id }) => id === 'open')!
    expect(open.text).toContain('sample 7 and 12 more: carrier power')
    expect(open.text).not.toContain('sample 8')
    expect(open.text.match(/carrier power/g)).toHaveLength(1)
  })

  it('are worked out for the radios that are shown, with the questions of all', () => {
    const [first] = found.sets
    const shown = findings(context, [first!])
    expect(shown.rows.map(({ question }) => question.id)).toEqual(
      found.rows.map(({ question }) => question.id),
    )
    expect(shown.rows.map(({ answers }) => answers)).toEqual(found.rows.map(({ answers }) => [answers[0]]))
  })

  it('put the control last', () => expect(found.sets.at(-1)?.id).toBe('c1'))
})

describe('the yardstick’s row', () => {
  const set = radio({}, { bandName: '70 cm', mhz: 445 })
  const readings = [harmonic(1, '-13', {}, 445), harmonic(2, '-80', {}, 445)]
  it('stands only when it is on and law is silent', () => {
    const rows = (yardstickId: string | null) =>
      findings(withReadings(reviewOf({ set, settings: { yardstickId } }), readings)).rows.filter(
        row => row.question.yardstick,
      )
    expect(rows(null)).toEqual([])
    expect(rows('good-practice')).toHaveLength(1)
    expect(
      findings(
        withReadings(reviewOf({ settings: { yardstickId: 'good-practice' } }), [
          harmonic(1, '-13'),
          harmonic(2, '-80'),
        ]),
      ).rows.some(row => row.question.yardstick),
    ).toBe(false)
  })
})
