import type { Context } from '../../context'
import { numberCell, type ReportBlock, type ReportCell, textCell } from '../../document'
import { rangeWords, readWords, valueWords } from '../../judging'
import { isRead, placeWords, type SlotResult, type StepResult } from '../../step'
import { conditions } from './conditions'
import { noteList, reasonLines, standardsLines } from './reasons'

/** What belongs to a step besides its figures, in sentences. */
export type Besides = (result: StepResult, context: Context) => string[]

/** Every step something was read at, as a table of its figures with conditions, reasons and notes. */
export function figureTables(title: string, besides: Besides = () => []) {
  return (results: readonly StepResult[], context: Context): ReportBlock[] =>
    results.flatMap(result => [
      tableOf(title, result),
      conditions([result]),
      ...besides(result, context).map((text): ReportBlock => ({ kind: 'paragraph', text })),
      ...reasonLines(result.slots.filter(isRead).flatMap(({ each }) => each.map(({ limit }) => limit))),
      ...standardsLines(result.slots.filter(isRead)),
      ...noteOf(result, context),
      ...noteList(result.slots.filter(isRead)),
    ])
}

function tableOf(title: string, { step, slots }: StepResult): ReportBlock {
  return {
    kind: 'table',
    caption: `${title}, ${placeWords(step)}`,
    widths: [24, 14, 14, 12, 14, 22],
    head: [
      { text: 'What' },
      { text: 'As read', align: 'right' },
      { text: 'Comes to', align: 'right' },
      { text: 'Range', align: 'right' },
      { text: 'Margin' },
      { text: 'Verdict' },
    ],
    rows: slots.filter(isRead).map(rowOf),
  }
}

function rowOf(result: SlotResult): ReportCell[] {
  const { slot, reading, verdict, words } = result
  const noStrip = verdict.state === 'observation' || verdict.state === 'no-figure'
  return [
    textCell(slot.label),
    numberCell(reading && slot.field.as !== 'derived' ? readWords(reading) : ''),
    numberCell(valueWords(result)),
    numberCell(rangeWords(result)),
    noStrip ? textCell('') : { kind: 'strip', verdict },
    { kind: 'verdict', verdict, words },
  ]
}

function noteOf({ step }: StepResult, context: Context): ReportBlock[] {
  const note = context.review.notes.findLast(
    ({ setId, stepId }) => setId === step.set.id && stepId === step.id,
  )
  return note ? [{ kind: 'paragraph', text: `Note: ${note.text}` }] : []
}
