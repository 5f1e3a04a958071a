import { createContext } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { differenceUnit } from '#core/quantity'
import { type Station, stationById, stations } from '#core/station'
import type { SlotResult } from '#core/step'
import { spelledOut } from '../../support/spelledOut'

/** What must hold of every slot’s result, whatever the station. */
function holds({ slot, state, reading, found, verdict, each, claim, limit }: SlotResult, station: Station) {
  expect(slot.role === null || slot.role in station.roles).toBe(true)
  // What is worked out may rest on what is kept besides readings: clips, choices.
  if (slot.field.as !== 'derived') expect(state === 'read').toBe(reading !== null)
  if (reading) expect(state).toBe('read')
  if (state !== 'read') expect(verdict.state).toBe('not-covered')
  if (reading && slot.field.as !== 'derived')
    expect(reading.seen.as).toBe(slot.field.as === 'level' ? 'level' : 'figure')
  // Budget, verdict and figure are in one unit; a level’s differences are in dB.
  if (found) expect(found.budget.unit).toBe(differenceUnit(found.unit))
  for (const judged of [...each, ...(claim ? [claim] : [])])
    if (found && judged.verdict.margin !== null) expect(judged.verdict.unit).toBe(found.budget.unit)
  // A verdict with a margin comes from one of the judgements, not from nowhere.
  if (verdict.margin !== null)
    expect([...each.map(one => one.verdict), claim?.verdict]).toContainEqual(verdict)
  // What is worked out says what it rests on, or what is missing.
  if (slot.field.as === 'derived') expect(verdict.why ?? found).not.toBeNull()
  if (limit && reading && each.length > 0) expect(each.map(one => one.limit)).toContain(limit)
  if (station.verdicts === 'observed') expect(['observation', 'not-covered']).toContain(verdict.state)
}

describe('the station contract, for every station', () => {
  const context = createContext(demoReview().review)

  it('has unique ids in rising order of work', () => {
    expect(new Set(stations.map(({ id }) => id)).size).toBe(stations.length)
    expect(stations.map(({ order }) => order)).toEqual(
      [...stations.map(({ order }) => order)].sort((a, b) => a - b),
    )
    expect(() => stationById('nothing')).toThrowError(expect.objectContaining({ code: 'unknown-id' }))
  })

  it.each(stations.map(station => [station.id, station] as const))(
    '%s: unique steps, results that agree with themselves and are plain data once spelled out',
    (_id, station) => {
      for (const set of context.review.sets) {
        const steps = station.plan(set, context)
        const played = new Set(steps.flatMap(({ chains }) => Object.keys(chains)))
        if (steps.length > 0) expect([...played].sort()).toEqual(Object.keys(station.roles).sort())
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length)
        for (const step of steps) {
          const result = station.evaluate(step, context)
          const spelled = spelledOut(result)
          expect(structuredClone(spelled)).toEqual(spelled)
          expect(spelledOut(result)).toEqual(spelled)
          expect(step.keyed?.seconds ?? 0).toBeLessThanOrEqual(step.durationS)
          // A step may do without a role of its station; none has one that its station has not.
          for (const role of Object.keys(step.chains)) expect(station.roles).toHaveProperty(role)
          for (const slotResult of result.slots) holds(slotResult, station)
        }
      }
    },
  )

  it.each(stations.map(station => [station.id, station] as const))(
    '%s: every question has an answer for every set',
    (_id, station) => {
      for (const question of station.questions(context.review.sets, context))
        for (const set of context.review.sets)
          expect(station.answer(question, set, context).words.length).toBeGreaterThan(3)
    },
  )
})
