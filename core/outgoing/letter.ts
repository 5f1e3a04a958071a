import type { Context } from '../context'
import { decisionRuleWords, withUnit } from '../decision'
import { type ReportBlock, type ReportDocument, textCell } from '../document'
import { valueWords } from '../judging'
import type { Model, RadioSet } from '../review'
import type { OutgoingWords } from './outgoingWords'
import { measuredOf } from '../sheet'
import { wantedStations } from '../station'
import { isRead, placeWords, type SlotResult } from '../step'

/** What a letter says of itself. */
export interface LetterStamp extends OutgoingWords {
  version: string
  at: string
}

/**
 * A letter of findings to a maker: which units, what was read, by which clauses, how sure, and an offer to repeat it.
 * It states what was found and asks; it accuses nobody.
 */
export function letterOfFindings(model: Model, context: Context, stamp: LetterStamp): ReportDocument {
  const { review } = context
  const make = model.sets[0]!.make.trim() || 'the maker'
  const found = model.sets.map(set => ({ set, figures: figuresOf(set, context) }))
  return {
    title: `Findings on the ${model.name}`,
    subtitle: [`To ${make}`, review.reviewer && `from ${review.reviewer}`, stamp.at]
      .filter(Boolean)
      .join(', '),
    footer: [`${review.title}`, stamp.mark && `publication ${stamp.mark}`, `Rigorous Meter ${stamp.version}`]
      .filter(Boolean)
      .join(' · '),
    sections: [
      { id: 'opening', title: 'What this is', blocks: opening(model, context, stamp) },
      ...found.map(({ set, figures }) => ({
        id: `unit-${set.id}`,
        title: unitName(set),
        blocks: unitBlocks(set, figures),
      })),
      { id: 'how', title: 'How it was measured', blocks: howBlocks(model, context) },
      { id: 'asking', title: 'What we ask', blocks: askedBlocks(stamp) },
    ],
  }
}

/** What is asked, and the reviewer’s own closing words. */
function askedBlocks({ closing = '' }: OutgoingWords): ReportBlock[] {
  const words: ReportBlock[] = closing.trim() === '' ? [] : [{ kind: 'paragraph', text: closing.trim() }]
  return [{ kind: 'list', items: [...ASKED] }, ...words]
}

const ASKED = [
  'Please tell us if you read these units, or units of the same batch, differently, and how you measured.',
  'We repeat any of these readings on request: on these units, on units you send, ' +
    'with your engineer present or watching.',
  'If a claim or a marking is meant in another way than we took it, please tell us which, and we judge again.',
  'What you answer will stand beside our figures where we publish them, if you agree.',
] as const

function opening({ name, sets }: Model, context: Context, { mark }: LetterStamp): ReportBlock[] {
  const units = sets.length === 1 ? 'one unit' : `${sets.length} units`
  return [
    {
      kind: 'paragraph',
      text:
        `We measured ${units} of the ${name}. Below stand the figures that lie outside a limit ` +
        'or a figure of yours, those that are too close to tell, and how many lie inside. ' +
        'A few units do not speak for a model, and ours may differ from what you make.',
    },
    {
      kind: 'paragraph',
      text:
        'Limits are those of ' +
        `${context.rulebooks.map(({ title, edition }) => `${title} (${edition})`).join('; ')}, ` +
        'as we recall them; the clauses are named so that you can compare the current text.' +
        (mark === ''
          ? ''
          : ` The review file with every reading is publication ${mark}; it can be opened and worked out again.`),
    },
  ]
}

interface LetterFigure {
  station: string
  place: string
  result: SlotResult
}

function figuresOf(set: RadioSet, context: Context): LetterFigure[] {
  return wantedStations(context).flatMap(station =>
    station.plan(set, context).flatMap(step =>
      station
        .evaluate(step, context)
        .slots.filter(one => isRead(one) && one.verdict.state !== 'observation')
        .map(result => ({
          station: station.title,
          place: `${placeWords(step)}, ${result.slot.label}`,
          result,
        })),
    ),
  )
}

function unitName({ sample, serial }: RadioSet): string {
  const name = sample === '' ? 'The unit' : `Sample ${sample}`
  return serial === '' ? `${name}, serial number not recorded` : `${name}, serial number ${serial}`
}

function unitBlocks(set: RadioSet, figures: readonly LetterFigure[]): ReportBlock[] {
  const listed = figures.filter(({ result }) => ['outside', 'too-close'].includes(result.verdict.state))
  const inside = figures.filter(({ result }) => result.verdict.state === 'inside').length
  const card = [
    set.firmware && `firmware ${set.firmware}`,
    set.howObtained && `obtained: ${set.howObtained}`,
    set.price && `price ${set.price}`,
  ].filter(Boolean)
  return [
    {
      kind: 'paragraph',
      quiet: true,
      text: card.length > 0 ? `${card.join('; ')}.` : 'Nothing more is recorded of it.',
    },
    ...(listed.length > 0 ? [tableOf(listed)] : []),
    {
      kind: 'paragraph',
      text:
        figures.length === 0
          ? 'Nothing that is judged was read on it.'
          : `${inside} of ${figures.length} figures that were judged lie ` +
            `inside${listed.length === 0 ? '; none is outside, and none too close to tell' : ''}.`,
    },
  ]
}

function tableOf(listed: readonly LetterFigure[]): ReportBlock {
  return {
    kind: 'table',
    caption: 'Outside, or too close to tell',
    widths: [34, 20, 22, 24],
    head: [
      { text: 'Figure' },
      { text: 'Read, with its 95 % range' },
      { text: 'It comes to' },
      { text: 'By' },
    ],
    rows: listed.map(({ station, place, result }) => [
      textCell(`${station}, ${place}`),
      textCell(result.found ? readWords(result) : '–'),
      { kind: 'verdict', verdict: result.verdict, words: withUnit(result) },
      textCell(byWords(result)),
    ]),
  }
}

/** A figure with its range; what was printed has none. */
function readWords(result: SlotResult): string {
  const { budget, unit } = result.found!
  const range = Number(budget.range.toPrecision(2))
  return range > 0 ? `${valueWords(result)} ±${range} ${unit === 'dBm' ? 'dB' : unit}` : valueWords(result)
}

/** The clauses and the claim a figure was held against. */
function byWords({ each, claim }: SlotResult): string {
  const clauses = each
    .filter(({ verdict }) => verdict.state === 'outside' || verdict.state === 'too-close')
    .map(({ limit }) => `${limit.rulebook.title}, ${limit.clause ?? 'no clause'}`)
  return [...clauses, ...(claim ? [`your claim: ${claim.claimedWords}`] : [])].join('; ') || '–'
}

function howBlocks({ sets }: Model, context: Context): ReportBlock[] {
  const { title, text, source } = decisionRuleWords[context.review.settings.decisionRule]
  return [
    { kind: 'paragraph', text: measuredOf(sets, context) },
    { kind: 'paragraph', text: `Decided by the rule “${title}”: ${text} (${source})` },
  ]
}
