import { numberCell, type ReportBlock, type ReportCell, textCell } from '../../../document'
import { rangeWords } from '../../../judging'
import { printMhz, printMhzFigure, printSigned } from '../../../quantity'
import { type AnyLimit, isRead, type SlotResult, type StepResult } from '../../../step'
import { conditions } from '../../report/conditions'
import { noteList, reasonLines, standardsLines } from '../../report/reasons'
import { isFirstLine } from './harmonicSlots'

/** Harmonics and spurs of each step as a table, with the limits’ reasons. */
export function reportHarmonics(results: readonly StepResult[]): ReportBlock[] {
  return results.flatMap(result => [
    tableOf(result),
    conditions([result]),
    ...reasonLines(limitsOf(result)),
    ...standardsLines(result.slots),
    ...noteList(result.slots),
  ])
}

function tableOf({ step, slots }: StepResult): ReportBlock {
  return {
    kind: 'table',
    caption: `Harmonics of ${printMhz(step.channel.frequencyHz)}, ${step.setting.level.name}`,
    widths: [6, 13, 10, 12, 10, 11, 16, 22],
    head: [
      { text: '×' },
      { text: 'MHz', align: 'right' },
      { text: 'As read', align: 'right' },
      { text: 'At radio, dBm', align: 'right' },
      { text: 'Range', align: 'right' },
      { text: 'Limit, dBm', align: 'right' },
      { text: 'Margin' },
      { text: 'Verdict' },
    ],
    rows: slots.filter(isRead).map(rowOf),
  }
}

function rowOf(result: SlotResult): ReportCell[] {
  const { slot, reading, found, yardstick } = result
  const limit = yardstick?.limit ?? result.limit
  const { verdict } = yardstick ?? result
  return [
    textCell(slot.label),
    numberCell(printMhzFigure(slot.frequencyHz)),
    numberCell(reading?.text ?? '–'),
    numberCell(found ? `${found.isUpperBound ? '< ' : ''}${printSigned(found.value)}` : '–'),
    numberCell(rangeWords(result)),
    numberCell(limit?.kind === 'limit' ? printSigned(limit.limitDbm, 2) : '–'),
    isFirstLine(slot) ? textCell('') : { kind: 'strip', verdict },
    { kind: 'verdict', verdict: result.verdict, words: wordsOf(result) },
  ]
}

function wordsOf({ verdict, words, yardstick }: SlotResult): string {
  if (yardstick) return `No figure in law. Yardstick: ${yardstick.words}`
  return verdict.state === 'not-covered' && verdict.why ? `${words}: ${verdict.why}` : words
}

/** The limits of every rulebook the step is judged by; the first one there is where nothing was judged. */
function limitsOf({ slots }: StepResult): AnyLimit[] {
  const judged = slots.find(({ each }) => each.length > 0)
  if (judged) return judged.each.map(({ limit }) => limit)
  return slots.flatMap(({ limit }) => limit ?? []).slice(0, 1)
}
