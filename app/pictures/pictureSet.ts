import { type Plot, PICTURE_SHAPES, type PictureNote, pictureOf, type PictureShape } from '#core/plot'
import { INKS, type InkSet } from '#core/svg'
import { fileNameFrom } from '~/composables/useDownload'
import { pngOf, svgOf } from './drawingFiles'
import { zipped } from '~/workers/zipWorker'

/** How one picture is made. */
export interface PictureMake {
  shape: PictureShape
  inks: InkSet
  kind: 'svg' | 'png'
}

/** One picture of a plot. */
export function pictureFile(
  plot: Plot,
  note: PictureNote,
  { shape, inks, kind }: PictureMake,
): Promise<Blob> {
  const drawing = pictureOf(plot, note, { shape, inks: INKS[inks] })
  return kind === 'svg' ? svgOf(drawing) : pngOf(drawing)
}

/** What a picture is called: `harmonics-of-146-520-mhz-wide-day.png`. */
export function pictureName(plot: Plot, { shape, inks, kind }: PictureMake): string {
  return `${fileNameFrom(plot.title)}-${shape}-${inks}.${kind}`
}

/** Every way a picture is made in. */
const MAKES: readonly PictureMake[] = (Object.keys(PICTURE_SHAPES) as PictureShape[]).flatMap(shape =>
  (['day', 'night'] as const).flatMap(inks => (['svg', 'png'] as const).map(kind => ({ shape, inks, kind }))),
)

/** Every plot in every shape, both themes, as SVG and PNG, in one zip. */
export async function pictureZip(
  plots: readonly Plot[],
  note: PictureNote,
  { onProgress, isStopped }: { onProgress: (share: number) => void; isStopped: () => boolean },
): Promise<Blob | null> {
  const files: Record<string, Uint8Array> = {}
  const all = plots.flatMap((plot, i) => MAKES.map(make => ({ plot, make, i })))
  for (const [done, { plot, make, i }] of all.entries()) {
    if (isStopped()) return null
    const blob = await pictureFile(plot, note, make)
    const name = `${String(i + 1).padStart(2, '0')}-${pictureName(plot, make)}`
    files[name] = new Uint8Array(await blob.arrayBuffer())
    onProgress((done + 1) / all.length)
  }
  return zipped(files)
}
