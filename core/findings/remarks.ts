import { printDb, printMhz, printPlusMinus } from '../quantity'
import { type RadioSet, setShortName } from '../review'
import { HARMONICS_ID, type SlotResult, stationById, type StationContext } from '../station'
import type { Findings } from './findings'
import { sampleShares } from './sampleShares'

/** A remark drawn from the matrix, in plain words. */
export interface Remark {
  id: string
  title: string
  text: string
}

/** What the readings say taken together: samples that disagree, and what is still open. */
export function remarks(findings: Findings, context: StationContext): Remark[] {
  return [...sampleRemarks(findings.sets, context), ...sampleShares(findings), ...openRemark(findings)]
}

function sampleRemarks(sets: readonly RadioSet[], context: StationContext): Remark[] {
  const models = groupBy(sets, modelKey)
  return [...models.values()]
    .filter(samples => samples.length > 1)
    .flatMap(samples => {
      const apart = widestDisagreement(samples, context)
      if (!apart) return []
      return [
        {
          id: `samples:${modelKey(samples[0]!)}`,
          title: 'Two of the same model disagree',
          text: `${setShortName(apart.cleaner)} is ${printDb(apart.differenceDb, 0)} cleaner than ${setShortName(apart.other)} at ${apart.slot.slot.label} of ${printMhz(apart.carrierHz)}, more than the ${printPlusMinus(apart.rangeDb)} the bench can explain. Units of one box can differ this much: do not judge the model by one of them.`,
        },
      ]
    })
}

function modelKey(set: RadioSet): string {
  return `${set.make} ${set.model}`.trim().toLowerCase()
}

function groupBy<T>(items: readonly T[], key: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const item of items) groups.set(key(item), [...(groups.get(key(item)) ?? []), item])
  return groups
}

interface Disagreement {
  cleaner: RadioSet
  other: RadioSet
  slot: SlotResult
  carrierHz: number
  differenceDb: number
  rangeDb: number
}

function widestDisagreement(samples: readonly RadioSet[], context: StationContext): Disagreement | null {
  let widest: Disagreement | null = null
  const station = stationById(HARMONICS_ID)
  const results = samples.map(set => ({
    set,
    slots: station.plan(set, context).flatMap(step =>
      station.evaluate(step, context).slots.map(slot => ({
        key: `${step.channel.frequencyHz}:${step.level.name}:${slot.slot.id}`,
        carrierHz: step.channel.frequencyHz,
        slot,
      })),
    ),
  }))
  for (const a of results)
    for (const b of results) {
      if (a === b) continue
      for (const one of a.slots) {
        const two = b.slots.find(slot => slot.key === one.key)
        if (
          one.slot.slot.id === 'x1' ||
          !one.slot.corrected ||
          !two?.slot.corrected ||
          two.slot.corrected.isUpperBound
        )
          continue
        const differenceDb = two.slot.corrected.levelDbm - one.slot.corrected.levelDbm
        const rangeDb = Math.hypot(one.slot.corrected.budget.rangeDb, two.slot.corrected.budget.rangeDb)
        if (
          differenceDb > rangeDb &&
          (!widest || differenceDb - rangeDb > widest.differenceDb - widest.rangeDb)
        )
          widest = {
            cleaner: a.set,
            other: b.set,
            slot: two.slot,
            carrierHz: one.carrierHz,
            differenceDb,
            rangeDb,
          }
      }
    }
  return widest
}

function openRemark(findings: Findings): Remark[] {
  const open = findings.sets.flatMap(set => {
    const rows = findings.rows.filter(row =>
      row.answers.some(
        ({ set: other, answer }) =>
          other.id === set.id &&
          answer.verdict.state === 'not-covered' &&
          answer.words !== 'Not on this set' &&
          answer.words !== 'No such level',
      ),
    )
    const named = [
      ...new Set(
        rows
          .map(row => stationById(row.question.stationId))
          .filter(({ optional }) => !optional)
          .flatMap(({ id, title }) => {
            const bands = rows
              .filter(row => row.question.stationId === id)
              .flatMap(row => row.question.bandName ?? [])
            return bands.length > 0
              ? bands.map(band => `${title.toLowerCase()} on ${band}`)
              : [title.toLowerCase()]
          }),
      ),
    ]
    return named.length > 0 ? [`${setShortName(set)}: ${named.join(', ')}`] : []
  })
  return open.length > 0
    ? [{ id: 'open', title: 'Not covered, or still open', text: `${open.join('. ')}.` }]
    : []
}
