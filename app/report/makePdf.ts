import type { ReportDocument } from '#core/document'
import greekUrl from '@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff?url'
import signsUrl from '@fontsource/noto-sans/files/noto-sans-latin-400-normal.woff?url'
import monoUrl from '@fontsource/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-400-normal.woff?url'
import boldUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url'
import regularUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url'
import { type SvgElement, svgText } from '#core/svg'
import { pdfDefinition, type Pictures } from './pdfDefinition'
import { pdfParts } from './pdfParts'
import { forPdf } from './svgForPdf'

const FILES = {
  'regular.woff': regularUrl,
  'bold.woff': boldUrl,
  'mono.woff': monoUrl,
  'signs.woff': signsUrl,
  'greek.woff': greekUrl,
}

const one = (file: string) => ({ normal: file, bold: file, italics: file, bolditalics: file })

/**
 * Makes the PDF in the browser, with the product's own fonts inside. Rejects with plain words.
 * @param onProgress - told how much of it is done, 0 to 1.
 */
export async function makePdf(
  report: ReportDocument,
  onProgress: (share: number) => void = () => {},
  pictures: Pictures = new Map(),
): Promise<Blob> {
  const pdfMake = await withFonts()
  const parts = pdfParts(report)
  if (parts.length === 1) {
    pdfMake.setProgressCallback(onProgress)
    return pdfMake.createPdf(pdfDefinition(report, null, pictures)).getBlob()
  }
  const { PDFDocument } = await import('pdf-lib')
  const whole = await PDFDocument.create()
  whole.setTitle(report.title)
  for (const [index, sections] of parts.entries()) {
    const definition = pdfDefinition({ ...report, sections }, { pagesBefore: whole.getPageCount() }, pictures)
    const made = await PDFDocument.load(await (await pdfMake.createPdf(definition).getBlob()).arrayBuffer())
    for (const page of await whole.copyPages(made, made.getPageIndices())) whole.addPage(page)
    onProgress((index + 1) / parts.length)
  }
  return new Blob([(await whole.save()) as BlobPart], { type: 'application/pdf' })
}

/** A drawing as a PDF of one page of its own size, points. */
export async function drawingPdf(drawing: SvgElement, title: string): Promise<Blob> {
  const pdfMake = await withFonts()
  const width = Number(drawing.attributes.width)
  const height = Number(drawing.attributes.height)
  return pdfMake
    .createPdf({
      info: { title, creator: 'Rigorous Meter', producer: 'Rigorous Meter' },
      pageSize: { width, height },
      pageMargins: 0,
      defaultStyle: { font: 'Next' },
      content: [{ svg: svgText(forPdf(drawing)), width, height }],
    })
    .getBlob()
}

async function withFonts() {
  const { default: pdfMake } = await import('pdfmake/build/pdfmake')
  const fonts = Object.entries(FILES).map(async ([name, url]) => {
    const reply = await fetch(url)
    if (!reply.ok)
      throw new Error(
        'The fonts for the PDF could not be read. Reload the page and try again; nothing is lost.',
      )
    return [name, base64(new Uint8Array(await reply.arrayBuffer()))] as const
  })
  pdfMake.addVirtualFileSystem(Object.fromEntries(await Promise.all(fonts)))
  pdfMake.addFonts({
    Next: { normal: 'regular.woff', bold: 'bold.woff', italics: 'regular.woff', bolditalics: 'bold.woff' },
    Mono: one('mono.woff'),
    Signs: one('signs.woff'),
    Greek: one('greek.woff'),
  })
  return pdfMake
}

function base64(bytes: Uint8Array): string {
  let text = ''
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192))
  return btoa(text)
}
