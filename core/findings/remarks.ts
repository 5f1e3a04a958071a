import type { Context } from '../context'
import { type RadioSet, setShortName } from '../review'
import { type Remark, stationById, wantedStations } from '../station'
import type { Findings, FindingsRow } from './findings'
import { sampleShares } from './sampleShares'

/** What the readings say taken together: samples that disagree, and what is still open. */
export function remarks(findings: Findings, context: Context): Remark[] {
  const ofStations = wantedStations(context).flatMap(
    ({ remarks: own }) => own?.(findings.sets, context) ?? [],
  )
  return [...ofStations, ...sampleShares(findings), ...openRemark(findings)]
}

function openRemark(findings: Findings): Remark[] {
  const open = findings.sets.flatMap(set => {
    const named = openStations(findings.rows.filter(row => isOpen(row, set)))
    return named.length > 0 ? [`${setShortName(set)}: ${named.join(', ')}`] : []
  })
  return open.length > 0
    ? [{ id: 'open', title: 'Not covered, or still open', text: `${open.join('. ')}.` }]
    : []
}

function isOpen({ answers }: FindingsRow, set: RadioSet): boolean {
  return answers.some(
    ({ set: other, answer }) =>
      other.id === set.id && answer.verdict.state === 'not-covered' && answer.gap !== 'not-on-set',
  )
}

/** Stations of rows, each once, with their bands where they ask band by band. */
function openStations(rows: readonly FindingsRow[]): string[] {
  const names = rows.flatMap(({ question: { stationId, bandName } }) => {
    const { title, optional } = stationById(stationId)
    if (optional) return []
    const name = title.toLowerCase()
    return [bandName === null ? name : `${name} on ${bandName}`]
  })
  return [...new Set(names)]
}
