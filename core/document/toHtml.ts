import type { Verdict } from '../decision'
import { plotFigure } from '../plot'
import { DAY, FIGURE_FACE, htmlText, stripDrawing, svg, type SvgNode, TEXT_FACE, verdictInk } from '../svg'
import type { ReportBlock, ReportCell, ReportDocument, ReportSection } from './model'

/** What goes into a page besides the document. */
export interface HtmlExtras {
  /** Data that travels in the page, as JSON text. */
  data: { id: string; json: string } | null
  /** Facts about the page for machines, as JSON-LD. */
  linked: object | null
  /** Pictures as data URLs, by id. */
  pictures?: ReadonlyMap<string, string>
}

/** A document as one page of HTML that needs nothing else: no script, no file, no network. */
export function toHtml(
  document: ReportDocument,
  { data, linked, pictures }: HtmlExtras = { data: null, linked: null },
): string {
  const { title, subtitle, footer, sections } = document
  const head = svg(
    'head',
    {},
    svg('meta', { charset: 'utf-8' }),
    svg('meta', { name: 'viewport', content: 'width=device-width, initial-scale=1' }),
    svg('meta', { name: 'generator', content: 'Rigorous Meter' }),
    svg('title', {}, title),
  )
  const body = svg(
    'main',
    {},
    svg('h1', {}, title),
    svg('p', { class: 'quiet' }, subtitle),
    ...sections.map(one => section(one, pictures ?? new Map())),
    svg('footer', { class: 'quiet' }, footer),
  )
  return [
    '<!doctype html>',
    '<html lang="en">',
    htmlText(head).replace('</head>', `<style>${STYLE}</style>${linkedScript(linked)}</head>`),
    `<body>${htmlText(body)}${dataScript(data)}</body>`,
    '</html>',
    '',
  ].join('\n')
}

/** Nothing in a script may end it. */
const harmless = (json: string) => json.replaceAll('<', '\\u003c').replaceAll('\u2028', '\\u2028')

function dataScript(data: HtmlExtras['data']): string {
  return data === null
    ? ''
    : `\n<script type="application/json" id="${data.id}">${harmless(data.json)}</script>`
}

function linkedScript(linked: object | null): string {
  return linked === null
    ? ''
    : `<script type="application/ld+json">${harmless(JSON.stringify(linked))}</script>`
}

function section({ id, title, blocks }: ReportSection, pictures: Pictures): SvgNode {
  return svg('section', { id }, svg('h2', {}, title), ...blocks.map(block => blockNode(block, pictures)))
}

type Pictures = ReadonlyMap<string, string>

const WIDTH = 760

function blockNode(block: ReportBlock, pictures: Pictures): SvgNode {
  switch (block.kind) {
    case 'paragraph':
      return svg('p', block.quiet ? { class: 'quiet' } : {}, block.text)
    case 'list':
      return svg('ul', {}, ...block.items.map(item => svg('li', {}, item)))
    case 'facts':
      return svg(
        'dl',
        {},
        ...block.rows.flatMap(([label, value]) => [svg('dt', {}, label), svg('dd', {}, value)]),
      )
    case 'picture':
      return pictureNode(block, pictures.get(block.pictureId))
    case 'plot':
      return svg(
        'figure',
        {},
        svg('figcaption', {}, svg('strong', {}, block.plot.title), ` ${block.plot.subtitle}`),
        plotFigure(block.plot, { width: WIDTH, height: 240, inks: DAY, size: 12 }),
      )
    case 'table':
      return svg(
        'table',
        {},
        svg('caption', {}, block.caption),
        svg(
          'thead',
          {},
          svg('tr', {}, ...block.head.map(({ text, align }) => svg('th', aligned(align), text))),
        ),
        svg('tbody', {}, ...block.rows.map(cells => svg('tr', {}, ...cells.map(cellNode)))),
      )
  }
}

function pictureNode(
  { caption, width, height }: Extract<ReportBlock, { kind: 'picture' }>,
  dataUrl: string | undefined,
): SvgNode {
  const words = svg('figcaption', {}, caption)
  if (dataUrl === undefined)
    return svg('figure', {}, words, svg('p', { class: 'quiet' }, 'The picture is not here.'))
  return svg('figure', {}, svg('img', { src: dataUrl, alt: caption, width, height }), words)
}

const aligned = (align: 'left' | 'right' | undefined): Record<string, string> =>
  align === 'right' ? { class: 'figure' } : {}

function cellNode(cell: ReportCell): SvgNode {
  switch (cell.kind) {
    case 'text':
      return svg('td', aligned(cell.align), cell.text)
    case 'strip':
      return svg('td', {}, stripNode(cell.verdict))
    case 'verdict':
      return svg('td', { style: `color:${verdictInk(DAY, cell.verdict.state)};font-weight:600` }, cell.words)
  }
}

function stripNode(verdict: Verdict): SvgNode {
  const size = { width: 120, height: 14 }
  return svg(
    'svg',
    { ...size, viewBox: '0 0 120 14', 'aria-hidden': 'true' },
    stripDrawing(verdict, { ...size, inks: DAY }),
  )
}

const STYLE = [
  `body{margin:0;background:${DAY.paper};color:${DAY.ink};font:16px/1.5 ${TEXT_FACE}}`,
  `main{max-width:${WIDTH}px;margin:24px auto;padding:28px 32px;background:${DAY.sheet};border:1px solid ${DAY.line}}`,
  'h1{font-size:28px;line-height:1.2;margin:0}h2{font-size:20px;margin:32px 0 6px;border-bottom:1px ' +
    `solid ${DAY.line2}}`,
  `.quiet,figcaption{color:${DAY.ink2};font-size:14px}p,ul,dl{margin:8px 0;overflow-wrap:anywhere}`,
  'dl{display:grid;grid-template-columns:130px minmax(0,1fr);gap:2px 14px}dd{margin:0}',
  `dt{color:${DAY.ink2}}figure{margin:18px 0}figure svg,table{max-width:100%}figure ` +
    'svg,img{height:auto;max-width:100%}',
  'table{border-collapse:collapse;font-size:14px;margin:12px 0;width:100%}caption{text-align:left;font-weight:700}',
  `th,td{text-align:left;vertical-align:top;padding:3px 8px 3px 0;border-bottom:1px solid ${DAY.line}}`,
  `th{color:${DAY.ink2};font-weight:400}.figure{text-align:right;font-family:${FIGURE_FACE}}footer{margin-top:32px}`,
  '@media(max-width:600px){main{margin:0;padding:16px;border:0}table{display:block;overflow-x:auto}dl{display:block}}',
  '@media print{body{background:#fff}main{border:0;margin:0;max-width:none}}',
].join('')
