import type { Context } from '../context'
import { fewNames, type RadioSet, setShortName } from '../review'
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

/** Up to so many radios each have a line of their own. */
const FEW_RADIOS = 8

/** What of one radio was not covered, or is still open: stations, with their bands. */
export function openOf(findings: Findings, set: RadioSet): string[] {
  return openStations(findings.rows.filter(row => isOpen(row, set)))
}

/** What is open of each radio; of many those of which the same is open stand together. */
function openRemark(findings: Findings): Remark[] {
  const lists = findings.sets.flatMap(set => {
    const open = openOf(findings, set).join(', ')
    return open === '' ? [] : [{ name: setShortName(set), open }]
  })
  const lines = findings.sets.length > FEW_RADIOS ? together(lists) : lists.map(lineOf)
  return lines.length > 0
    ? [{ id: 'open', title: 'Not covered, or still open', text: `${lines.join('. ')}.` }]
    : []
}

const lineOf = ({ name, open }: { name: string; open: string }): string => `${name}: ${open}`

function together(lists: readonly { name: string; open: string }[]): string[] {
  const named = new Map<string, string[]>()
  for (const { name, open } of lists) named.set(open, [...(named.get(open) ?? []), name])
  return [...named].map(([open, names]) => lineOf({ name: fewNames(names), open }))
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
