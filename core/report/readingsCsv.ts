import type { Context } from '../context'
import type { Verdict } from '../decision'
import { type CsvCell, writeCsv } from '../format'
import { readWords } from '../judging'
import { type Reading, setName } from '../review'
import { wantedStations } from '../station'
import { isRead, type Judgement, settingWords, type SlotResult, type Step } from '../step'

const HEAD = [
  'set',
  'station',
  'band',
  'frequencyMHz',
  'level',
  'slot',
  'slotFrequencyMHz',
  'asTyped',
  'reading',
  'readingUnit',
  'result',
  'resultUnit',
  'range',
  'rangeUnit',
  'judgedBy',
  'limit',
  'limitUnit',
  'margin',
  'marginUnit',
  'probabilityComplies',
  'verdict',
  'words',
  'clause',
  'supply',
  'ambientC',
  'who',
  'at',
  'chain',
  'source',
] as const

/**
 * Every standing reading with what was computed from it, as CSV. One row, one judgement: a reading judged by
 * a claim and two rulebooks has three rows, each with its own limit, margin and verdict.
 */
export function readingsCsv(context: Context): string {
  const rows = context.review.sets.flatMap(set =>
    wantedStations(context).flatMap(station =>
      station.plan(set, context).flatMap(step =>
        station
          .evaluate(step, context)
          .slots.filter(isRead)
          .flatMap(result => {
            const { reading } = result
            const place = [setName(set), station.title, ...placeOf(step, result)]
            const tail = reading ? conditionsOf(reading, context) : NO_CONDITIONS
            return judgementsOf(result).map(judged => [
              ...place,
              ...(reading ? seenOf(reading, result) : NOTHING_SEEN),
              ...judgedCells(judged),
              ...tail,
            ])
          }),
      ),
    ),
  )
  return writeCsv([[...HEAD], ...rows])
}

function placeOf(step: Step, { slot }: SlotResult): CsvCell[] {
  const { band, channel, covers } = step
  switch (covers) {
    case 'channel':
      return [band.name, channel.frequencyHz / 1e6, settingWords(step), slot.label, slot.frequencyHz / 1e6]
    case 'band':
      return [band.name, null, '', slot.label, slot.frequencyHz / 1e6]
    case 'set':
      return ['', null, '', slot.label, null]
  }
}

/** As many cells as a reading and its conditions fill. */
const NOTHING_SEEN: CsvCell[] = ['', '', '', '', '', '', '']

const NO_CONDITIONS: CsvCell[] = ['', '', '', '', '', '']

function seenOf(reading: Reading, { slot, found }: SlotResult): CsvCell[] {
  const { seen } = reading
  const isDerived = slot.field.as === 'derived'
  return [
    isDerived ? '' : readWords(reading),
    isDerived ? '' : rounded(seen.as === 'level' ? seen.levelDbm : seen.value),
    isDerived ? '' : unitOf(seen),
    rounded(found?.value),
    found?.unit ?? '',
    rounded(found?.budget.range),
    found?.budget.unit ?? '',
  ]
}

function unitOf(seen: Reading['seen']): string {
  return seen.as === 'level' ? 'dBm' : seen.unit
}

/** One judgement of a reading: by whom, against what, and what came of it. */
interface Judged {
  by: string
  limit: number | null
  limitUnit: string
  verdict: Verdict
  words: string
  clause: string
}

function judgementsOf(result: SlotResult): Judged[] {
  const { claim, each, yardstick, verdict, words } = result
  const judged = [
    ...(claim
      ? [
          {
            by: 'claim',
            limit: claim.limit,
            limitUnit: result.found?.unit ?? 'dBm',
            verdict: claim.verdict,
            words: claim.words,
            clause: '',
          },
        ]
      : []),
    ...each.map(byRulebook),
    ...(yardstick ? [byRulebook(yardstick)] : []),
  ]
  return judged.length > 0 ? judged : [{ by: '', limit: null, limitUnit: '', verdict, words, clause: '' }]
}

function byRulebook({ limit, verdict, words }: Judgement): Judged {
  const figure = { limit: null, limitUnit: '' }
  if (limit.kind === 'limit') Object.assign(figure, { limit: limit.limitDbm, limitUnit: 'dBm' })
  if (limit.kind === 'scalar')
    Object.assign(figure, { limit: limit.limit.value, limitUnit: limit.limit.unit })
  return { by: limit.rulebook.title, ...figure, verdict, words, clause: limit.clause }
}

function judgedCells({ by, limit, limitUnit, verdict, words, clause }: Judged): CsvCell[] {
  return [
    by,
    rounded(limit),
    limitUnit,
    rounded(verdict.margin),
    verdict.margin === null ? '' : verdict.unit,
    rounded(verdict.probabilityComplies),
    verdict.state,
    words,
    clause,
  ]
}

function conditionsOf(reading: Reading, context: Context): CsvCell[] {
  const { supply, ambientC, who, at, source, through } = reading
  const chains = Object.values(through).map(({ chainId }) => context.chain(chainId)?.name ?? chainId)
  return [supply, ambientC, who, at, chains.join(', '), 'fileName' in source ? source.fileName : source.kind]
}

function rounded(value: number | null | undefined): number | null {
  return value === null || value === undefined ? null : Math.round(value * 1e4) / 1e4
}
