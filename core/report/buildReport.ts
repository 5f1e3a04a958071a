import { findings, remarks } from '../findings'
import { printPlusMinus } from '../quantity'
import { type RadioSet, setName } from '../review'
import { stations, type StationContext } from '../station'
import { believabilitySection } from './believabilitySection'
import { benchSection } from './benchSection'
import { cautionsSection } from './cautionsSection'
import type { ReportBlock, ReportDocument, ReportSection } from './model'
import { ruleSection } from './ruleSection'
import { setSection } from './setSection'

/** What made the report, and when. */
export interface ReportStamp {
  version: string
  /** When it was made, as it is to be printed. */
  at: string
}

/**
 * The whole report of a review as a document: findings, each set with every reading, its range and
 * verdict, what was not covered, bench and chains, rule, cautions, dates and versions.
 */
export function buildReport(context: StationContext, stamp: ReportStamp): ReportDocument {
  const { review } = context
  return {
    title: review.title,
    subtitle: [review.reviewer, stamp.at].filter(Boolean).join(' · '),
    footer: `${review.title} · ${stamp.at} · Rigorous Meter ${stamp.version}`,
    sections: [
      summarySection(context),
      ...review.sets.map((set, index) => setSection(set, context, index)),
      benchSection(context),
      believabilitySection(context),
      ruleSection(context),
      cautionsSection(),
      versionsSection(context, stamp),
    ],
  }
}

function summarySection(context: StationContext): ReportSection {
  const found = findings(context)
  const blocks: ReportBlock[] = []
  if (context.review.purpose) blocks.push({ kind: 'paragraph', text: context.review.purpose })
  blocks.push({
    kind: 'facts',
    rows: [
      ['Radios', context.review.sets.map(setName).join('; ') || 'none yet'],
      [
        'Readings',
        `${context.review.readings.length} levels and ${context.review.figures.length} other figures, first ${dayOf(context, 0)}, last ${dayOf(context, -1)}`,
      ],
    ],
  })
  for (const set of found.sets) {
    const rows = found.rows
      .map(row => ({ row, answer: row.answers.find(({ set: other }) => other.id === set.id)!.answer }))
      .filter(({ answer }) => !['Not on this set', 'No such level'].includes(answer.words))
    blocks.push({
      kind: 'table',
      caption: roleName(set),
      head: [{ text: 'Question' }, { text: 'Margin' }, { text: 'Finding' }, { text: 'Where' }],
      widths: [24, 20, 24, 32],
      rows: rows.map(({ row, answer }) => [
        { kind: 'text', text: `${row.question.question}${row.question.yardstick ? ' (yardstick)' : ''}` },
        answer.verdict.state === 'observation'
          ? { kind: 'text', text: '' }
          : { kind: 'strip', verdict: answer.verdict },
        { kind: 'verdict', verdict: answer.verdict, words: answer.words },
        {
          kind: 'text',
          text: [answer.detail, ...answer.each.map(({ title, words }) => `${title}: ${words}`)]
            .filter(Boolean)
            .join('; '),
        },
      ]),
    })
  }
  blocks.push(
    ...remarks(found, context).map((remark): ReportBlock => ({
      kind: 'paragraph',
      text: `${remark.title}. ${remark.text}`,
    })),
  )
  return { id: 'findings', title: 'What we can say', blocks }
}

function roleName(set: RadioSet): string {
  return set.role === 'control' ? `${setName(set)} (control)` : setName(set)
}

function dayOf(context: StationContext, index: number): string {
  return context.review.readings.at(index)?.at.slice(0, 10) ?? '–'
}

function versionsSection(context: StationContext, stamp: ReportStamp): ReportSection {
  const widest = Math.max(
    0,
    ...context.review.sets.flatMap(set =>
      stations.flatMap(station =>
        station
          .plan(set, context)
          .flatMap(step =>
            station.evaluate(step, context).slots.map(slot => slot.corrected?.budget.rangeDb ?? 0),
          ),
      ),
    ),
  )
  return {
    id: 'versions',
    title: 'How this was made',
    blocks: [
      {
        kind: 'paragraph',
        text: `Ranges are 95 % ranges of each budget’s own distribution: independent contributions, their characteristic functions multiplied and inverted, Monte Carlo where noise hides a signal (JCGM 100:2008 and 101:2008). The widest here is ${printPlusMinus(widest)}. Every figure is computed from the readings as they were taken; none was typed into this report.`,
      },
      {
        kind: 'facts',
        rows: [
          ['Program', `Rigorous Meter ${stamp.version}`],
          ['Rulebooks', context.rulebooks.map(book => `${book.title}, ${book.edition}`).join('; ')],
          ['Stations', stations.map(station => `${station.title} ${station.version}`).join(', ')],
          [
            'Review',
            `${context.review.id}, begun ${context.review.createdAt.slice(0, 10)}, last changed ${context.review.updatedAt.slice(0, 10)}`,
          ],
          ['Report made', stamp.at],
        ],
      },
    ],
  }
}
