import { plotDrawing } from '../plot'
import {
  fitted,
  type Inks,
  linesAt,
  movedBy,
  round,
  stripDrawing,
  svg,
  type SvgElement,
  type SvgNode,
  textAt,
  textWidth,
  verdictInk,
  verdictShape,
  wrapped,
} from '../svg'
import { firstLines, flowed, flowedLines, type Run } from './flow'
import { asSentences } from './sentences'
import type { Sheet, SheetLine } from './sheet'

/** Papers a sheet is made for, points. */
export const PAPERS = {
  a4: { title: 'A4', width: 595, height: 842 },
  letter: { title: 'Letter', width: 612, height: 792 },
} as const
/** A paper a sheet is made for. */
export type Paper = keyof typeof PAPERS

const EDGE = 40
const GAP = 10

/** Where a part of the page begins, and how it is drawn; it says where the next begins. */
interface Page {
  paper: { width: number; height: number }
  inks: Inks
  left: number
  right: number
}

interface Part {
  drawn: SvgNode[]
  bottom: number
}

/** A sheet on its paper. Whatever is too much for one page is said to be. */
export function sheetDrawing(sheet: Sheet, { paper, inks }: { paper: Paper; inks: Inks }): SvgElement {
  const { width, height } = PAPERS[paper]
  const page: Page = { paper: { width, height }, inks, left: EDGE, right: width - EDGE }
  const head = headOf(sheet, page)
  const said = saidOf(sheet, page, head.bottom + 12)
  const keying = keyingOf(sheet, page, said.bottom + 10)
  const foot = footOf(sheet, page)
  const plots = plotsOf(sheet, page, { top: keying.bottom + GAP, bottom: foot.top - GAP })
  return svg(
    'svg',
    { xmlns: 'http://www.w3.org/2000/svg', width, height, viewBox: `0 0 ${width} ${height}` },
    svg('title', {}, sheet.title),
    svg('rect', { width, height, fill: inks.sheet }),
    ...head.drawn,
    ...said.drawn,
    ...keying.drawn,
    ...plots,
    ...foot.drawn,
  )
}

function headOf({ title, subtitle, stamp }: Sheet, { left, right, inks }: Page): Part {
  const half = (right - left) * 0.62
  const under = wrapped(subtitle, half, { size: 9 }).slice(0, 3)
  return {
    drawn: [
      textAt(fitted(title, half, { size: 20, weight: 700 }), {
        ...{ x: left, y: EDGE + 8, size: 20, weight: 700, fill: inks.ink },
      }),
      ...linesAt(under, { x: left, y: EDGE + 22, size: 9, lead: 12, fill: inks.ink2 }),
      ...linesAt(
        stamp.map(line => fitted(line, right - left - half - 8, { size: 9 })),
        { x: right, y: EDGE + 8, size: 9, lead: 12, fill: inks.ink2, anchor: 'end' },
      ),
    ],
    bottom: EDGE + 22 + 12 * (Math.max(1, under.length) - 1) + 4,
  }
}

const MOST_SAID_LINES = 6

function saidOf({ said, ownWords }: Sheet, { left, right, inks }: Page, top: number): Part {
  const runs: Run[] =
    ownWords === null
      ? asSentences(said).map(({ text, state }) => ({
          text,
          weight: state === 'outside' ? 700 : 400,
          fill: state === 'outside' ? verdictInk(inks, state) : inks.ink,
        }))
      : [
          { text: ownWords, weight: 400, fill: inks.ink },
          { text: '(the reviewer’s words)', weight: 400, fill: inks.ink3 },
        ]
  const all = flowed(
    runs.length > 0 ? runs : [{ text: 'Nothing can be said yet.', weight: 400, fill: inks.ink }],
    right - left - 28,
    11.5,
  )
  const lines = firstLines(all, MOST_SAID_LINES)
  const height = 16 + lines.length * 16
  return {
    drawn: [
      svg('rect', {
        x: left,
        y: round(top),
        width: right - left,
        height,
        fill: inks.noise,
        'fill-opacity': 0.6,
      }),
      svg('rect', { x: left, y: round(top), width: 3, height, fill: inks.spruce }),
      ...flowedLines(lines, { x: left + 14, y: top + 20, size: 11.5, lead: 16 }),
    ],
    bottom: top + height,
  }
}

/** So many lines have room beside six drawings. */
const MOST_LINES = 7

function keyingOf({ law, lines }: Sheet, { left, right, inks }: Page, top: number): Part {
  const column = { answer: left + 92, strip: right - 130 }
  const rule = (y: number, width: number, ink: string) =>
    svg('path', { d: `M${left} ${round(y)}H${right}`, stroke: ink, 'stroke-width': width })
  const lawLines = wrapped(law, right - column.answer, { size: 8 }).slice(0, 3)
  const drawn: SvgNode[] = [
    rule(top, 1.4, inks.ink),
    textAt('May I key it?', { x: left, y: top + 15, size: 9.5, weight: 700, fill: inks.ink }),
    ...linesAt(lawLines, { x: column.answer, y: top + 14, size: 8, lead: 10, fill: inks.ink2 }),
  ]
  let y = top + 10 + lawLines.length * 10
  const shown = lines.slice(0, MOST_LINES)
  for (const line of shown) {
    const row = lineDrawing(line, { left, ...column, right }, inks)
    drawn.push(rule(y, 0.5, inks.line), movedBy(0, y, ...row.drawn))
    y += row.height
  }
  if (lines.length > shown.length) {
    const words = `and ${lines.length - shown.length} more bands and samples, in the report`
    drawn.push(rule(y, 0.5, inks.line), textAt(words, { x: left, y: y + 12, size: 8.5, fill: inks.ink2 }))
    y += 18
  }
  return { drawn: [...drawn, rule(y, 0.5, inks.line)], bottom: y }
}

function lineDrawing(
  { label, state, words, because, verdict }: SheetLine,
  column: { left: number; answer: number; strip: number; right: number },
  inks: Inks,
): { drawn: SvgNode[]; height: number } {
  const colour = verdictInk(inks, state)
  const room = column.strip - column.answer - 10
  const answer = firstLines(
    flowed(
      [
        { text: `${words}.`, weight: 700, fill: colour },
        { text: because, weight: 400, fill: inks.ink2 },
      ],
      room - 12,
      8.8,
    ),
    3,
  )
  const names = wrapped(label, column.answer - column.left - 6, { size: 8.8, weight: 700 }).slice(0, 2)
  const height = Math.max(names.length, answer.length) * 11 + 9
  const strip = { width: column.right - column.strip, height: 14, inks }
  return {
    drawn: [
      ...linesAt(names, { x: column.left, y: 13, size: 8.8, lead: 11, weight: 700, fill: inks.ink }),
      verdictShape(state, { x: column.answer + 4, y: 10, size: 3.2 }, inks),
      ...flowedLines(answer, { x: column.answer + 12, y: 13, size: 8.8, lead: 11 }),
      ...(verdict ? [movedBy(column.strip, height / 2 - 7, stripDrawing(verdict, strip))] : []),
    ],
    height,
  }
}

/** A drawing lower than this says nothing: then there are fewer. */
const LEAST_PLOT = 118

function plotsOf(
  { plots }: Sheet,
  { left, right, inks }: Page,
  { top, bottom }: { top: number; bottom: number },
): SvgNode[] {
  if (plots.length === 0) return []
  const columns = plots.length === 1 ? 1 : 2
  const roomFor = Math.max(1, Math.floor((bottom - top + GAP) / (LEAST_PLOT + GAP)))
  const rows = Math.min(roomFor, Math.ceil(plots.length / columns))
  const width = (right - left - GAP * (columns - 1)) / columns
  const height = Math.min(210, (bottom - top - GAP * (rows - 1)) / rows)
  return plots.slice(0, rows * columns).map((plot, i) => {
    const inner = width - 18
    const title = fitted(plot.title, inner, { size: 9, weight: 700 })
    const under = wrapped(plot.subtitle, inner, { size: 7.4 }).slice(0, 2)
    const head = 18 + under.length * 9
    return movedBy(
      left + (i % columns) * (width + GAP),
      top + Math.floor(i / columns) * (height + GAP),
      svg('rect', { width: round(width), height: round(height), rx: 4, fill: 'none', stroke: inks.line }),
      textAt(title, { x: 9, y: 14, size: 9, weight: 700, fill: inks.ink }),
      ...linesAt(under, { x: 9, y: 24, size: 7.4, lead: 9, fill: inks.ink2 }),
      movedBy(9, head, plotDrawing(plot, { width: inner, height: height - head - 6, inks, size: 7.6 })),
    )
  })
}

const CHECK_WORDS =
  'the review that goes with it opens in Rigorous Meter, which works every figure out again; ' +
  'the limits it judges by are recalled, so read the current text.'

function footOf(
  { measured, notCovered, footer }: Sheet,
  { paper, left, right, inks }: Page,
): Part & { top: number } {
  const width = (right - left - 18) * 0.6
  const runs = (head: string, text: string): Run[] => [
    { text: head, weight: 700, fill: inks.ink },
    { text, weight: 400, fill: inks.ink2 },
  ]
  const first = firstLines(flowed(runs('How it was measured.', measured), width, 7.8), 9)
  const second = firstLines(
    flowed(
      [...runs('Not covered:', notCovered), ...runs('Check it yourself:', CHECK_WORDS)],
      right - left - 18 - width,
      7.8,
    ),
    9,
  )
  const base = paper.height - 26
  const top = base - 16 - Math.max(first.length, second.length) * 10.2
  const [from, to] = footer
  const right2 = fitted(to, (right - left) / 2 - 10, { size: 7.8 })
  return {
    drawn: [
      svg('path', { d: `M${left} ${round(top - 2)}H${right}`, stroke: inks.line, 'stroke-width': 0.5 }),
      ...flowedLines(first, { x: left, y: top + 9, size: 7.8, lead: 10.2 }),
      ...flowedLines(second, { x: left + width + 18, y: top + 9, size: 7.8, lead: 10.2 }),
      textAt(fitted(from, right - left - textWidth(right2, 7.8) - 10, { size: 7.8 }), {
        ...{ x: left, y: base, size: 7.8, fill: inks.ink2 },
      }),
      textAt(right2, { x: right, y: base, size: 7.8, fill: inks.ink2, anchor: 'end' }),
    ],
    top,
    bottom: base,
  }
}
