import { numberCell, type ReportBlock, type ReportCell, textCell } from '../../../document'
import { rangeWords, valueWords } from '../../../judging'
import { printClaimW, printMhz, printMhzFigure } from '../../../quantity'
import { isRead, type StepResult } from '../../../step'
import { conditions } from '../../report/conditions'
import { standardsLines } from '../../report/reasons'

/** Carrier power of all channels and levels as one table. */
export function reportCarrierPower(results: readonly StepResult[]): ReportBlock[] {
  return [
    {
      kind: 'table',
      caption: 'Carrier power',
      widths: [11, 8, 11, 10, 10, 9, 18, 23],
      head: [
        { text: 'MHz', align: 'right' },
        { text: 'Level' },
        { text: 'As read', align: 'right' },
        { text: 'At socket', align: 'right' },
        { text: 'Range', align: 'right' },
        { text: 'Claim', align: 'right' },
        { text: 'Margin' },
        { text: 'Verdict' },
      ],
      rows: results.flatMap(rowOf),
    },
    conditions(results),
    ...standardsLines(results.flatMap(({ slots }) => slots.slice(0, 1))),
    ...supplyList(results),
  ]
}

/** Supply while keyed, where it was noted, with the efficiency it gives. */
function supplyList(results: readonly StepResult[]): ReportBlock[] {
  const lines = results.flatMap(({ step, slots }) => {
    const noted = slots.slice(1).filter(isRead)
    if (noted.length === 0) return []
    const figures = noted.map(result => `${result.slot.label} ${valueWords(result)}`)
    const efficiency = noted.at(-1)!.words
    const known = noted.length === slots.length - 1 ? `; ${efficiency}` : ''
    return [
      `${printMhz(step.channel.frequencyHz)}, ${step.setting.level.name}: ${figures.join(', ')}${known}.`,
    ]
  })
  return lines.length > 0 ? [{ kind: 'list', items: lines }] : []
}

function rowOf({ step, slots }: StepResult): ReportCell[][] {
  const [carrier] = slots
  if (!carrier?.reading) return []
  return [
    [
      numberCell(printMhzFigure(step.channel.frequencyHz)),
      textCell(step.setting.level.name),
      numberCell(carrier.reading.text),
      numberCell(valueWords(carrier)),
      numberCell(rangeWords(carrier)),
      numberCell(step.claim.kind === 'watts' ? printClaimW(step.claim.powerW) : 'not said'),
      { kind: 'strip', verdict: carrier.verdict },
      { kind: 'verdict', verdict: carrier.verdict, words: carrier.words },
    ],
  ]
}
