import type { Context } from '../context'
import type { ReportBlock, ReportDocument, ReportSection } from '../document'
import { findings, type FindingsRow, remarks } from '../findings'
import type { StationAnswer } from '../judging'
import { printPlusMinus } from '../quantity'
import { fewNames, type RadioSet, setName } from '../review'
import { atOnce, type Sliced } from '../sliced'
import { type StationQuestion, stations, wantedStations } from '../station'
import { isRead, type StepResult } from '../step'
import { appendixSection } from './appendixSection'
import { believabilitySection } from './believabilitySection'
import { benchSection } from './benchSection'
import { cautionsSection } from './cautionsSection'
import { keyedTogether, keyingBlocks, keyingSection } from './keyingSection'
import { ruleSection } from './ruleSection'
import { setSection } from './setSection'

/** What made the report, and when. */
export interface ReportStamp {
  version: string
  /** When it was made, as it is to be printed. */
  at: string
}

/** A report whose sections are put together when they are asked for. */
export interface ReportOutline extends Omit<ReportDocument, 'sections'> {
  sections: { id: string; build: () => ReportSection }[]
}

/** The report of a review, section by section: of a large one only what is looked at need be put together. */
export function reportOutline(context: Context, stamp: ReportStamp): ReportOutline {
  const { review } = context
  const together = keyedTogether(review.sets)
  return {
    title: review.title,
    subtitle: [review.reviewer, stamp.at].filter(Boolean).join(' · '),
    footer: `${review.title} · ${stamp.at} · Rigorous Meter ${stamp.version}`,
    sections: [
      { id: 'findings', build: () => summarySection(context) },
      ...(together ? [{ id: 'keying', build: () => keyingSection(context) }] : []),
      ...review.sets.map((set, index) => ({
        id: `set-${set.id}`,
        build: () => {
          const section = setSection(set, context, index)
          return together ? section : withKeying(section, set, context)
        },
      })),
      { id: 'bench', build: () => benchSection(context) },
      { id: 'believability', build: () => believabilitySection(context) },
      { id: 'rule', build: () => ruleSection(context) },
      { id: 'cautions', build: cautionsSection },
      { id: 'versions', build: () => versionsSection(context, stamp) },
      { id: 'readings', build: () => appendixSection(context) },
    ],
  }
}

/** Of many radios each is answered for where it stands. */
function withKeying(section: ReportSection, set: RadioSet, context: Context): ReportSection {
  return { ...section, blocks: [...keyingBlocks([set], context), ...section.blocks] }
}

/**
 * The whole report of a review as a document: findings, each set with every reading, its range and
 * verdict, what was not covered, bench and chains, rule, cautions, dates and versions.
 */
export function buildReport(context: Context, stamp: ReportStamp): ReportDocument {
  return atOnce(reportInSlices(context, stamp))
}

/** The same, section by section. */
export function* reportInSlices(context: Context, stamp: ReportStamp): Sliced<ReportDocument> {
  const outline = reportOutline(context, stamp)
  const sections: ReportSection[] = []
  for (const { build } of outline.sections) {
    sections.push(build())
    yield sections.length / outline.sections.length
  }
  return { ...outline, sections }
}

function summarySection(context: Context): ReportSection {
  const found = findings(context)
  const { purpose } = context.review
  return {
    id: 'findings',
    title: 'What we can say',
    blocks: [
      ...(purpose ? [{ kind: 'paragraph' as const, text: purpose }] : []),
      factsOf(context),
      ...found.sets.flatMap((set, index) => findingsBlocks(set, index, found.rows)),
      ...remarks(found, context).map(({ title, text }): ReportBlock => ({
        kind: 'paragraph',
        text: `${title}. ${text}`,
      })),
    ],
  }
}

function factsOf(context: Context): ReportBlock {
  const { readings, sets } = context.review
  const levels = readings.filter(({ seen }) => seen.as === 'level').length
  const days = readings.map(({ at }) => at.slice(0, 10)).sort()
  return {
    kind: 'facts',
    rows: [
      ['Radios', fewNames(sets.map(setName), '; ') || 'none yet'],
      [
        'Readings',
        `${levels} levels and ${readings.length - levels} other figures, first ${days[0] ?? '–'}, ` +
          `last ${days.at(-1) ?? '–'}`,
      ],
    ],
  }
}

/** What was answered as a table; what is open in one line. */
function findingsBlocks(set: RadioSet, index: number, rows: readonly FindingsRow[]): ReportBlock[] {
  const asked = rows
    .map(({ question, answers }) => ({ question, answer: answers[index]!.answer }))
    .filter(({ answer }) => answer.gap !== 'not-on-set')
  const open = asked.filter(({ answer }) => answer.gap !== null)
  const answered = asked.filter(({ answer }) => answer.gap === null)
  const stillOpen: ReportBlock[] =
    open.length > 0
      ? [
          {
            kind: 'paragraph',
            quiet: true,
            text:
              `${roleName(set)}, not measured or left out: ` +
              `${open.map(({ question }) => question.question).join(' ')}`,
          },
        ]
      : []
  return answered.length > 0 ? [findingsTable(set, answered), ...stillOpen] : stillOpen
}

function findingsTable(
  set: RadioSet,
  answered: readonly { question: StationQuestion; answer: StationAnswer }[],
): ReportBlock {
  return {
    kind: 'table',
    caption: roleName(set),
    head: [{ text: 'Question' }, { text: 'Margin' }, { text: 'Finding' }, { text: 'Where' }],
    widths: [24, 20, 24, 32],
    rows: answered.map(({ question, answer }) => [
      { kind: 'text', text: `${question.question}${question.yardstick ? ' (yardstick)' : ''}` },
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
  }
}

function roleName(set: RadioSet): string {
  return set.role === 'control' ? `${setName(set)} (control)` : setName(set)
}

function versionsSection(context: Context, stamp: ReportStamp): ReportSection {
  const widest = everyResult(context)
    .flatMap(rangesDb)
    .reduce((most, one) => Math.max(most, one), 0)
  return {
    id: 'versions',
    title: 'How this was made',
    blocks: [
      {
        kind: 'paragraph',
        text:
          'Ranges are 95 % ranges of each budget’s own distribution: independent contributions, ' +
          'their characteristic functions multiplied and inverted, ' +
          'Monte Carlo where noise hides a signal (JCGM 100:2008 and 101:2008). ' +
          `The widest here is ${printPlusMinus(widest)}. ` +
          'Every figure is computed from the readings as they were taken; none was typed into this report.',
      },
      {
        kind: 'facts',
        rows: [
          ['Program', `Rigorous Meter ${stamp.version}`],
          ['Rulebooks', context.rulebooks.map(book => `${book.title}, ${book.edition}`).join('; ')],
          ['Stations', stations.map(station => `${station.title} ${station.version}`).join(', ')],
          [
            'Review',
            `${context.review.id}, begun ${context.review.createdAt.slice(0, 10)}, ` +
              `last changed ${context.review.updatedAt.slice(0, 10)}`,
          ],
          ['Report made', stamp.at],
        ],
      },
    ],
  }
}

/** What every step of every station came to. */
function everyResult(context: Context): StepResult[] {
  return context.review.sets.flatMap(set =>
    wantedStations(context).flatMap(station =>
      station.plan(set, context).map(step => station.evaluate(step, context)),
    ),
  )
}

function rangesDb({ slots }: StepResult): number[] {
  return slots.filter(isRead).flatMap(({ found }) => (found?.path ? [found.budget.range] : []))
}
