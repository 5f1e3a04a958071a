import { svg, type SvgElement, svgFile } from '#core/svg'
import { embeddedFonts } from './embeddedFonts'

/** A drawing as an SVG file with its fonts inside. */
export async function svgOf(drawing: SvgElement): Promise<Blob> {
  const style = svg('style', {}, await embeddedFonts())
  const whole = { ...drawing, children: [style, ...drawing.children] }
  return new Blob([svgFile(whole)], { type: 'image/svg+xml' })
}

/** A drawing as a PNG. @param scale - pixels for each unit of the drawing. */
export async function pngOf(drawing: SvgElement, scale = 1): Promise<Blob> {
  const url = URL.createObjectURL(await svgOf(drawing))
  try {
    const image = new Image()
    image.src = url
    await image.decode()
    const canvas = document.createElement('canvas')
    canvas.width = Number(drawing.attributes.width) * scale
    canvas.height = Number(drawing.attributes.height) * scale
    canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height)
    return await new Promise((resolve, reject) =>
      canvas.toBlob(blob => (blob ? resolve(blob) : reject(new Error(NO_PNG))), 'image/png'),
    )
  } catch (cause) {
    throw new Error(NO_PNG, { cause })
  } finally {
    URL.revokeObjectURL(url)
  }
}

const NO_PNG = 'This browser could not make the PNG. The SVG can still be taken; nothing is lost.'
