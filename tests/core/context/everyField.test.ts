import { describe, expect, it } from 'vitest'
import { createContext, createSharedWork, type SharedWork } from '#core/context'
import { demoReview } from '#core/demo'
import { findings, remarks } from '#core/findings'
import { forumPost, letterOfFindings, videoDescription } from '#core/outgoing'
import { toMarkdown } from '#core/document'
import { planRun } from '#core/plan'
import { buildReport, readingsCsv } from '#core/report'
import { modelsOf, type Review, validateReview } from '#core/review'
import { reviewSchema } from '#core/review/schema'
import { copyRulebook, rulebookById } from '#core/rules'
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
import { rounds } from '../../support/howThorough'
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
    remarks: remarks(findings(context), context),
    texts,
    report: toMarkdown(buildReport(context, STAMP)),
    table: readingsCsv(context),
  }
}

/** Two radios of the demo, and of their readings what one step of each station takes: quick enough to redo. */
function smallReview(): Review {
  const { review } = demoReview()
  const radios = new Set(['trek-b', 'tarnwick'])
  const own = <Item extends { setId: string }>(items: Item[]) =>
    items.filter(({ setId }) => radios.has(setId))
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

/** What the demo has none of, so that these fields too are edited. */
function withMore(review: Review): Review {
  const AT = review.createdAt
  const [step] = review.readings.filter(({ setId }) => setId === 'trek-b')
  const place = { setId: 'trek-b', stepId: step!.stepId }
  const skipped = review.readings.find(({ setId }) => setId === 'tarnwick')!
  const { id: chainId } = review.chains[0]!
  const own = copyRulebook(rulebookById('us-amateur'), 'mine')
  return {
    ...review,
    settings: { ...review.settings, rulebookIds: [...review.settings.rulebookIds, 'mine'] },
    ownRulebooks: [own],
    pictures: [{ ...place, id: 'p1', name: 'lid', width: 40, height: 30, bytes: 900, at: AT }],
    clips: ['trek-b', 'tarnwick'].map((setId, i) => ({
      ...{ id: `c${i}`, setId, stepId: 'by-ear', name: 'a', words: 'the gate is open', sounds: 'heard' },
      ...{ sampleRateHz: 16_000, seconds: 2, bytes: 64_044, loudnessLufs: -20, at: AT, who: 'A' },
    })) as Review['clips'],
    skipped: [{ setId: 'tarnwick', stepId: skipped.stepId, reason: 'no load', at: AT }],
    calibrationSwaps: review.calibrations.slice(0, 1).map(({ id, partId }) => ({
      ...{ id: 's1', at: AT, partId, fromId: null, toId: id },
    })),
    controlChecks: [
      {
        ...{ id: 'k1', chainId, setId: 'trek-b', at: AT, frequencyHz: 146.52e6, text: '-8', levelDbm: -8 },
        ...{ resolutionDb: 0.1, calibrationIds: {}, knownDbm: 36, knownExpandedDb: 0.5, knownFrom: 'club' },
      },
    ],
  }
}

const start = withMore(smallReview())

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

/** A thing of each kind taken away; the way back adds it. */
const REMOVALS: Record<string, (review: Review) => Review> = {
  'a radio': review => {
    const left = <Item extends { setId: string }>(items: Item[]) =>
      items.filter(({ setId }) => setId !== 'tarnwick')
    return {
      ...review,
      sets: review.sets.filter(({ id }) => id !== 'tarnwick'),
      ...{ readings: left(review.readings), clips: left(review.clips), skipped: left(review.skipped) },
      ...{ keyDowns: left(review.keyDowns), traces: left(review.traces), curves: left(review.curves) },
      ...{ notes: left(review.notes), otherFigures: left(review.otherFigures) },
    }
  },
  'a band': review => ({ ...review, sets: review.sets.map(set => ({ ...set, bands: set.bands.slice(1) })) }),
  'a channel': review => ({
    ...review,
    sets: review.sets.map(set => ({
      ...set,
      bands: set.bands.map(band => ({ ...band, channels: band.channels.slice(1) })),
    })),
  }),
  'a part of every path': review => ({
    ...review,
    chains: review.chains.map(chain => ({ ...chain, parts: chain.parts.slice(1) })),
  }),
  'a path': review => ({ ...review, chains: review.chains.slice(1) }),
  'an instrument': review => ({ ...review, instruments: review.instruments.slice(1) }),
  'a rulebook': review => ({
    ...review,
    settings: { ...review.settings, rulebookIds: review.settings.rulebookIds.slice(1) },
  }),
  'a clip': review => ({ ...review, clips: review.clips.slice(1) }),
  'a reading': review => ({ ...review, readings: review.readings.slice(1) }),
  'a step left out': review => ({ ...review, skipped: [] }),
  'a consent, and all else stations keep': review => ({ ...review, memos: {} }),
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

  const warm = createSharedWork()
  const fresh = createSharedWork()

  it('every field of the schema is among the edits, or named as one this review has no example of', () => {
    expect({ missing, fixed }).toMatchSnapshot()
  })

  it('the review that is edited can be kept', () => {
    expect(validateReview(structuredClone(start))).toEqual(start)
    expect(derivedFrom(start, warm)).not.toHaveProperty('error')
  })

  // `npm test` alone tries every third; CI tries all.
  const tried = edits.filter((_edit, i) => i % rounds({ quick: 3, all: 1 }) === 0)
  it.each(tried)('$path', ({ after }) => {
    const anew = { ...createSharedWork(), distributions: fresh.distributions }
    derivedFrom(start, warm)
    expect(derivedFrom(after, warm)).toEqual(derivedFrom(structuredClone(after), anew))
  })

  it.each(Object.entries(REMOVALS))('%s', (_what, remove) => {
    const after = remove(start)
    const anew = { ...createSharedWork(), distributions: fresh.distributions }
    derivedFrom(start, warm)
    const gone = derivedFrom(after, warm)
    expect(gone).toEqual(derivedFrom(structuredClone(after), anew))
    expect(gone).not.toEqual(derivedFrom(start, warm))
  })
})
