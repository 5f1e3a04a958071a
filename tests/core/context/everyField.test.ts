import { describe, expect, it } from 'vitest'
import { createContext, createSharedWork, type SharedWork } from '#core/context'
import { demoReview } from '#core/demo'
import { findings, findingsOrder, remarks } from '#core/findings'
import { forumPost, letterOfFindings, videoDescription } from '#core/outgoing'
import { toMarkdown } from '#core/document'
import { planRun } from '#core/plan'
import { buildReport, readingsCsv } from '#core/report'
import { modelsOf, type Review, validateReview } from '#core/review'
import { reviewSchema } from '#core/review/schema'
import { sheetOf } from '#core/sheet'
import { checkMemos, stations } from '#core/station'
import {
  fieldsOf,
  namedValues,
  otherValues,
  placesOf,
  valueAt,
  withValue,
  type FieldPath,
  type Place,
} from '../../support/schemaEdits'
import { spelledOut } from '../../support/spelledOut'

const STAMP = { version: '0', at: '2026-11-30 10:00 UTC' }

/** Everything that is worked out of a review, as plain data; the error where it cannot be. */
function derivedFrom(review: Review, shared: SharedWork): unknown {
  try {
    return JSON.parse(JSON.stringify(spelledOut(allOf(review, shared))))
  } catch (error) {
    return { error: String(error) }
  }
}

function allOf(review: Review, shared: SharedWork): unknown {
  const context = createContext(review, shared)
  const texts = modelsOf(review).map(model => {
    const sheet = sheetOf(model, context, { version: '0', mark: '' })
    const words = { mark: '', closing: '' }
    return [
      { ...sheet, plots: sheet.plots.length },
      forumPost(model, sheet, { ...words, context }),
      videoDescription(sheet, words),
      toMarkdown(letterOfFindings(model, context, { ...STAMP, mark: '' })),
    ]
  })
  return {
    results: review.sets.flatMap(set =>
      stations.flatMap(station =>
        station.plan(set, context).map(step => {
          const { slots, verdict, words, questions, offers, progress } = station.evaluate(step, context)
          const figures = slots.map(one => ({
            ...{ id: one.slot.id, state: one.state, words: one.words, notes: one.notes },
            ...{ verdict: one.verdict, value: one.found?.value, range: one.found?.budget.range },
            ...{ limit: one.limit, claim: one.claim?.words },
          }))
          const { set: _radio, ...planned } = step
          return { planned, figures, verdict, words, questions, offers, progress }
        }),
      ),
    ),
    run: planRun(context).steps.map(({ set, id }) => `${set.id} ${id}`),
    findings: findings(context).rows.map(({ question, answers }) => [
      question,
      answers.map(({ answer: { results: _results, governs: _governs, ...answer } }) => answer),
    ]),
    remarks: remarks(context, findingsOrder(review.sets)),
    texts,
    report: toMarkdown(buildReport(context, STAMP)),
    table: readingsCsv(context),
  }
}

/** Two radios of the demo, and of their readings what one step of each station takes: quick enough to redo. */
function smallReview(): Review {
  const { review } = demoReview()
  const radios = new Set(['trek-b', 'tarnwick'])
  const own = <Item extends { setId: string }>(items: Item[]) => items.filter(({ setId }) => radios.has(setId))
  const firstStep = new Map<string, string>()
  const readings = own(review.readings).filter(({ setId, stationId, stepId }) => {
    const key = `${setId} ${stationId}`
    if (!firstStep.has(key)) firstStep.set(key, stepId)
    return firstStep.get(key) === stepId
  })
  return {
    ...review,
    sets: review.sets.filter(({ id }) => radios.has(id)),
    readings,
    ...{ keyDowns: own(review.keyDowns), skipped: own(review.skipped), clips: own(review.clips) },
    ...{ traces: own(review.traces), curves: own(review.curves), notes: own(review.notes) },
    ...{ pictures: own(review.pictures), controlChecks: own(review.controlChecks) },
    ...{ otherFigures: own(review.otherFigures) },
  }
}

const start = smallReview()

/** Every field of the schema, and every field of what stations keep. */
function everyField(): { path: FieldPath; named: (path: FieldPath) => unknown[] }[] {
  const ofReview = [...fieldsOf(reviewSchema)]
    .filter(path => !path.startsWith('memos.'))
    .map(path => ({ path, named: (one: FieldPath) => namedValues(reviewSchema, one) }))
  const ofStations = stations.flatMap(({ id, memo = {} }) =>
    [
      { schema: memo.common, at: `memos.${id}.common` },
      { schema: memo.bySet, at: `memos.${id}.bySet.*` },
    ].flatMap(({ schema, at }) =>
      schema
        ? [...fieldsOf(schema, at)].map(path => ({
            path,
            named: (one: FieldPath) => namedValues(schema, one.slice(at.length + 1)),
          }))
        : [],
    ),
  )
  return [...ofReview, ...ofStations]
}

/** The review with a field changed, where that can be kept; null where no other value can. */
function edited(review: Review, place: Place, values: readonly unknown[]): Review | null {
  const before = valueAt(review, place)
  for (const value of values) {
    if (value === before) continue
    const after = withValue(review, place, value)
    try {
      validateReview(structuredClone(after))
      if (checkMemos(after) === null) return after
    } catch {
      continue
    }
  }
  return null
}

describe('whatever is edited, nothing that is worked out is older than what it rests on', () => {
  const missing: string[] = []
  const fixed: string[] = []
  const edits = everyField().flatMap(({ path, named }) => {
    const places = placesOf(start, path)
    if (places.length === 0) missing.push(path)
    for (const place of places) {
      const values = [...named(path), ...otherValues(valueAt(start, place))]
      const after = edited(start, place, values)
      if (after) return [{ path, after }]
    }
    if (places.length > 0) fixed.push(path)
    return []
  })

  it('every field of the schema is among the edits', () => {
    console.log('MISSING', missing, 'FIXED', fixed, edits.length)
  })

  it.each(edits)('$path', ({ after }) => {
    const shared = createSharedWork()
    derivedFrom(start, shared)
    expect(derivedFrom(after, shared)).toEqual(derivedFrom(structuredClone(after), createSharedWork()))
  })
})
