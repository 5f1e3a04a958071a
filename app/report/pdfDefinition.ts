import type { ReportBlock, ReportCell, ReportDocument, ReportSection } from '#core/document'
import type { Content, ContentTable, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import { DAY, stripDrawing, svg, svgText, verdictInk } from '#core/svg'
import { plotFigure } from '#core/plot'
import type { Verdict } from '#core/decision'
import { forPdf } from './svgForPdf'

const PAGE_WIDTH_PT = 595 - 2 * 40
const SIGNS = /([µμΩΔ])/
const PLOT_PT = { width: PAGE_WIDTH_PT, height: 150 }

/** A part of a report that is made by itself, because the whole would not fit into memory at once. */
export interface PdfPart {
  /** Pages of the parts before it. */
  pagesBefore: number
}

/**
 * The report document as pdfmake wants it: the same sections, blocks and words, in the same order.
 * @param part - where only some of its sections are in it: how many pages there are in all is not known then.
 */
export function pdfDefinition(
  report: ReportDocument,
  part: PdfPart | null = null,
  pictures: Pictures = new Map(),
): TDocumentDefinitions {
  const isFirst = !part?.pagesBefore
  return {
    info: { title: report.title, creator: 'Rigorous Meter', producer: 'Rigorous Meter' },
    pageSize: 'A4',
    pageMargins: [40, 44, 40, 50],
    defaultStyle: { font: 'Next', fontSize: 9, lineHeight: 1.18, color: '#17262B' },
    footer: (page: number, pages: number) => ({
      columns: [
        { text: runs(report.footer) },
        { text: part ? `${part.pagesBefore + page}` : `${page} of ${pages}`, alignment: 'right', width: 60 },
      ],
      margin: [40, 14, 40, 0],
      fontSize: 7.5,
      color: '#4C5C5C',
    }),
    content: [...(isFirst ? titleOf(report) : []), ...report.sections.flatMap(one => section(one, pictures))],
  }
}

function titleOf({ title, subtitle }: ReportDocument): Content[] {
  return [
    { text: runs(title), fontSize: 20, bold: true },
    { text: runs(subtitle), color: '#4C5C5C', margin: [0, 2, 0, 10] },
  ]
}

/** Pictures as data URLs, by id. */
export type Pictures = ReadonlyMap<string, string>

function section(part: ReportSection, pictures: Pictures): Content[] {
  return [...(part.title === '' ? [] : [headOf(part)]), ...part.blocks.flatMap(one => block(one, pictures))]
}

/** Not where a section goes on that was cut. */
function headOf(part: ReportSection): Content {
  return {
    text: runs(part.title),
    fontSize: 13,
    bold: true,
    margin: [0, 12, 0, 4],
    pageBreak: part.newPage ? 'before' : undefined,
    headlineLevel: 1,
  } as Content
}

function block(part: ReportBlock, pictures: Pictures): Content[] {
  switch (part.kind) {
    case 'paragraph':
      return [
        {
          text: runs(part.text),
          margin: [0, 2, 0, 4],
          color: part.quiet ? '#4C5C5C' : '#17262B',
          fontSize: part.quiet ? 8 : 9,
        },
      ]
    case 'list':
      return [{ ul: part.items.map(item => ({ text: runs(item) })), margin: [0, 2, 0, 6] }]
    case 'facts':
      return [
        {
          table: {
            widths: [90, '*'],
            body: part.rows.map(([label, value]) => [
              { text: runs(label), color: '#4C5C5C' },
              { text: runs(value) },
            ]),
          },
          layout: 'noBorders',
          margin: [0, 0, 0, 6],
        },
      ]
    case 'picture':
      return [picture(part, pictures.get(part.pictureId))]
    case 'plot':
      return [
        {
          stack: [
            { text: runs(part.plot.title), bold: true, margin: [0, 7, 0, 0] },
            { text: runs(part.plot.subtitle), fontSize: 7.5, color: '#4C5C5C', margin: [0, 0, 0, 2] },
            { svg: svgText(forPdf(plotFigure(part.plot, { ...PLOT_PT, inks: DAY, size: 7.5 }))), ...PLOT_PT },
          ],
          unbreakable: true,
        },
      ]
    case 'table':
      return [{ text: runs(part.caption), bold: true, margin: [0, 7, 0, 2] }, table(part)]
  }
}

/** Kinds of pictures a PDF can hold. */
const IN_PDF = /^data:image\/(jpeg|png);/

function picture(
  { caption }: Extract<ReportBlock, { kind: 'picture' }>,
  dataUrl: string | undefined,
): Content {
  const words: Content = { text: runs(caption), fontSize: 7.5, color: '#4C5C5C', margin: [0, 2, 0, 6] }
  if (dataUrl === undefined || !IN_PDF.test(dataUrl))
    return { stack: [words, { text: 'The picture is not here.', fontSize: 7.5 }] }
  return { stack: [{ image: dataUrl, fit: [PAGE_WIDTH_PT * 0.6, 260] }, words], unbreakable: true }
}

function table(part: Extract<ReportBlock, { kind: 'table' }>): ContentTable {
  const whole = part.widths.reduce((sum, width) => sum + width, 0)
  const padding = 6 * part.widths.length
  const widths = part.widths.map(width => ((PAGE_WIDTH_PT - padding) * width) / whole)
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths,
      body: [
        part.head.map((head): TableCell => ({
          text: runs(head.text),
          alignment: head.align ?? 'left',
          color: '#4C5C5C',
          fontSize: 7.5,
        })),
        ...part.rows.map(row => row.map((cell, index) => cellContent(cell, widths[index] ?? 60))),
      ],
    },
    layout: {
      hLineWidth: index => (index === 1 ? 0.8 : 0.4),
      vLineWidth: () => 0,
      hLineColor: () => '#B3BFBB',
      paddingLeft: () => 3,
      paddingRight: () => 3,
      paddingTop: () => 2,
      paddingBottom: () => 2,
    },
    margin: [0, 0, 0, 6],
  }
}

function cellContent(cell: ReportCell, width: number): TableCell {
  switch (cell.kind) {
    case 'text':
      return {
        text: runs(cell.text),
        alignment: cell.align ?? 'left',
        bold: cell.strong,
        fontSize: 8.5,
        ...(cell.align === 'right' ? { font: 'Mono', fontSize: 8 } : {}),
      }
    case 'strip':
      return {
        svg: stripText(cell.verdict, Math.min(110, width)),
        width: Math.min(110, width),
      }
    case 'verdict':
      return {
        text: runs(cell.words),
        bold: cell.verdict.state !== 'not-covered',
        color: verdictInk(DAY, cell.verdict.state),
        fontSize: 8.5,
      }
  }
}

/** A margin strip, by day on any theme: paper looks the same from both. */
export function stripText(verdict: Verdict, width: number): string {
  const size = { width, height: 11 }
  return svgText(
    svg(
      'svg',
      { xmlns: 'http://www.w3.org/2000/svg', ...size, viewBox: `0 0 ${width} ${size.height}` },
      stripDrawing(verdict, { ...size, inks: DAY }),
    ),
  )
}

/** Splits a text so that the few signs the main face lacks come from the face that has them. */
function runs(text: string): { text: string; font?: string }[] {
  return text
    .split(SIGNS)
    .filter(part => part !== '')
    .map(part =>
      SIGNS.test(part)
        ? { text: part === 'μ' ? 'µ' : part, font: part === 'Ω' || part === 'Δ' ? 'Greek' : 'Signs' }
        : { text: part },
    )
}
