/** Longest side a kept picture has, pixels. */
export const LONGEST_SIDE = 1280

/** Most a picture may weigh before it is scaled, bytes. */
const MOST_BYTES = 40_000_000

/** A picture scaled for keeping. */
export interface ScaledPicture {
  dataUrl: string
  width: number
  height: number
  bytes: number
}

/**
 * Scales a picture so that its longest side has 1280 pixels and packs it as JPEG.
 * @throws Error in plain words when the file is no picture the browser can read.
 */
export async function scalePicture(file: File): Promise<ScaledPicture> {
  if (file.size > MOST_BYTES)
    throw new Error(
      `“${file.name}” has ${Math.round(file.size / 1e6)} MB; a picture may have 40 MB. It was not attached.`,
    )
  let bitmap: ImageBitmap
  try {
    bitmap = await createImageBitmap(file)
  } catch {
    throw new Error(`“${file.name}” is no picture this browser can read. Nothing was attached.`)
  }
  const scale = Math.min(1, LONGEST_SIDE / Math.max(bitmap.width, bitmap.height))
  const width = Math.max(1, Math.round(bitmap.width * scale))
  const height = Math.max(1, Math.round(bitmap.height * scale))
  const canvas = document.createElement('canvas')
  canvas.width = width
  canvas.height = height
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, width, height)
  bitmap.close()
  const dataUrl = canvas.toDataURL('image/jpeg', 0.82)
  return { dataUrl, width, height, bytes: Math.round((dataUrl.length - dataUrl.indexOf(',') - 1) * 0.75) }
}
