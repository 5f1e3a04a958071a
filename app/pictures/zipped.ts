import { unzip, zip } from 'fflate'

/** Files in one zip. */
export function zipped(files: Record<string, Uint8Array>): Promise<Blob> {
  return new Promise((resolve, reject) =>
    zip(files, { level: 4 }, (error, data) =>
      error
        ? reject(new Error('The zip could not be made; nothing is lost.', { cause: error }))
        : resolve(new Blob([data as BlobPart], { type: 'application/zip' })),
    ),
  )
}

/** Most that the files of one zip may come to, bytes. */
const MOST_BYTES = 600_000_000

/**
 * The files of a zip whose names fit.
 * @throws Error in words for what is no zip, or comes to more than any backup.
 */
export async function unzipped(
  file: File,
  fits: (name: string) => boolean,
): Promise<{ name: string; bytes: Uint8Array }[]> {
  const data = new Uint8Array(await file.arrayBuffer())
  let sum = 0
  const found = await new Promise<Record<string, Uint8Array>>((resolve, reject) =>
    unzip(
      data,
      {
        filter: ({ name, originalSize }) => {
          if (!fits(name)) return false
          sum += originalSize
          return sum <= MOST_BYTES
        },
      },
      (error, files) =>
        error
          ? reject(
              new Error(
                `“${file.name}” was not opened: it is no zip, or it was cut short. Nothing was changed.`,
              ),
            )
          : resolve(files),
    ),
  )
  if (sum > MOST_BYTES)
    throw new Error(
      `“${file.name}” holds more than ${MOST_BYTES / 1e6} MB, which no backup does. Nothing was changed.`,
    )
  return Object.entries(found).map(([name, bytes]) => ({ name, bytes }))
}
