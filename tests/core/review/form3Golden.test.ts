import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { findings, remarks } from '#core/findings'
import { planRun } from '#core/plan'
import { validateReview } from '#core/review'
import { stationById } from '#core/station'
import { socketDbm } from '#core/step'
import { fixture, formThree } from '../../support/oldForms'

interface OldSlot {
  id: string
  state: string
  marginDb: number | null
  p: number | null
  words: string
  levelDbm: number | null
  rangeDb: number | null
  figure: number | null
  figureRange: number | null
  notes: string[]
}
interface OldStep {
  set: string
  step: string
  state: string
  words: string
  progress: { read: number; possible: number }
  questions: string[]
  slots: OldSlot[]
}
interface OldAnswer {
  set: string
  state: string
  words: string
  detail: string
  margin: number | null
  each: string[]
}
interface Old {
  slots: OldStep[]
  findings: { id: string; answers: OldAnswer[] }[]
  remarks: unknown[]
  run: string[]
  costs: unknown
}

/** What version 0.3 had worked out from its review, kept before the station layer was rebuilt. */
const old = fixture<Old>('demo-form3-results')
const context = createContext(validateReview(formThree()))

function close(now: number | null, then: number | null): void {
  if (then === null) expect(now).toBeNull()
  else expect(now).toBeCloseTo(then, 6)
}

describe('a review of form 3, opened by this version', () => {
  it.each(old.slots.map(step => [`${step.set} ${step.step}`, step] as const))(
    '%s has every figure, verdict and word it had',
    (_name, then) => {
      const set = context.review.sets.find(({ id }) => id === then.set)!
      const station = stationById(then.step.split(':')[0]!)
      const step = station.plan(set, context).find(({ id }) => id === then.step)!
      const now = station.evaluate(step, context)
      expect(now.verdict.state).toBe(then.state)
      expect(now.words).toBe(then.words)
      expect(now.progress).toEqual(then.progress)
      expect(now.questions.map(({ words }) => words)).toEqual(then.questions)
      for (const slot of then.slots) {
        const found = now.slots.find(other => other.slot.id === slot.id)!
        expect(found.verdict.state).toBe(slot.state)
        expect(found.words).toBe(slot.words)
        expect(found.notes).toEqual(slot.notes)
        close(socketDbm(found), slot.levelDbm)
        close(found.verdict.probabilityComplies, slot.p)
        // Margins of figures that are no level used to be in tenths of their limit.
        if (found.verdict.unit === 'dB') close(found.verdict.margin, slot.marginDb)
        else close(found.verdict.margin! / found.verdict.perStripDb, slot.marginDb)
        if (slot.rangeDb !== null) close(found.found!.budget.range, slot.rangeDb)
        if (slot.figure !== null) close(found.found!.value, slot.figure)
      }
    },
  )

  it('has the same findings, remarks and run', () => {
    const now = findings(context)
    expect(
      now.rows.map(({ question, answers }) => ({
        id: question.id,
        answers: answers.map(({ set, answer }) => ({
          set: set.id,
          state: answer.verdict.state,
          words: answer.words,
          detail: answer.detail,
          each: answer.each.map(({ words }) => words),
        })),
      })),
    ).toEqual(
      old.findings.map(({ id, answers }) => ({
        id,
        answers: answers.map(({ margin: _margin, ...answer }) => answer),
      })),
    )
    expect(remarks(now, context)).toEqual(old.remarks)
    const run = planRun(context)
    expect(run.steps.map(({ set, id }) => `${set.id}|${id}`)).toEqual(old.run)
    expect(run.costs).toEqual(old.costs)
  })
})
