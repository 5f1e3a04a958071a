import type { Context } from '../context'
import { numberCell, type ReportBlock, type ReportCell, type ReportSection, textCell } from '../document'
import { type RadioSet, type Reading, setName } from '../review'
import { stationById, wantedStations } from '../station'
import { placeWords, type Step } from '../step'

/** Every reading as it was taken, also those that a retake has superseded: what all figures are computed from. */
export function appendixSection(context: Context): ReportSection {
  const blocks = context.review.sets.flatMap(set => tableOf(set, context))
  return {
    id: 'readings',
    title: 'Appendix: every reading as it was taken',
    newPage: true,
    blocks: blocks.length > 0 ? blocks : [{ kind: 'paragraph', text: 'Nothing was read yet.' }],
  }
}

/** Rows of one table; a longer one is cut, so that it can be drawn piece by piece. */
const MOST_ROWS = 80

function tableOf(set: RadioSet, context: Context): ReportBlock[] {
  const readings = context.review.readings.filter(({ setId }) => setId === set.id)
  const steps = stepsOf(set, context)
  return pieces(readings, MOST_ROWS).map((part, i) => ({
    kind: 'table',
    caption: i === 0 ? setName(set) : `${setName(set)}, continued`,
    widths: [14, 16, 24, 14, 12, 20],
    head: [
      { text: 'Read, UTC' },
      { text: 'Station' },
      { text: 'Where and what' },
      { text: 'As typed', align: 'right' },
      { text: 'By' },
      { text: 'Chain, source' },
    ],
    rows: part.map(reading => rowOf(reading, steps, context)),
  }))
}

function stepsOf(set: RadioSet, context: Context): ReadonlyMap<string, Step> {
  return new Map(
    wantedStations(context).flatMap(station =>
      station.plan(set, context).map((step): [string, Step] => [step.id, step]),
    ),
  )
}

function rowOf(reading: Reading, steps: ReadonlyMap<string, Step>, context: Context): ReportCell[] {
  const step = steps.get(reading.stepId)
  const slot = step?.slots.find(({ id }) => id === reading.slot)?.label ?? reading.slot
  return [
    textCell(reading.at.slice(0, 19).replace('T', ' ')),
    textCell(stationById(reading.stationId).title),
    textCell(step ? `${placeWords(step)}, ${slot}` : `${slot}, of a step that is no longer planned`),
    numberCell(reading.text),
    textCell(reading.who),
    textCell([...chainsOf(reading, context), sourceOf(reading)].filter(Boolean).join('; ')),
  ]
}

function chainsOf({ through }: Reading, { review }: Context): string[] {
  return Object.values(through).map(({ chainId, chainRevision }) => {
    const name = review.chains.find(({ id }) => id === chainId)?.name ?? 'a chain that is gone'
    return `${name}, revision ${chainRevision}`
  })
}

function sourceOf({ source }: Reading): string {
  switch (source.kind) {
    case 'typed':
      return ''
    case 'file':
    case 'recording':
      return source.fileName
    case 'link':
      return source.answer ? `${source.instrument}: ${source.answer}` : source.instrument
    default:
      return source.kind
  }
}

function pieces<T>(list: readonly T[], most: number): T[][] {
  return Array.from({ length: Math.ceil(list.length / most) }, (_unused, i) =>
    list.slice(i * most, (i + 1) * most),
  )
}
