import { wrap } from 'comlink'
import { brokenWorker } from './brokenWorker'
import type { Files, ZipWorker } from './zip.worker'

/** Packs or unpacks beside the page, in a worker that goes with the answer. */
async function asked<T>(ask: (worker: ZipWorker) => T | Promise<T>): Promise<T> {
  const worker = new Worker(new URL('./zip.worker.ts', import.meta.url), { type: 'module' })
  const broken = brokenWorker(
    worker,
    'The part of the program that packs files did not start. Nothing is lost; try again.',
  )
  try {
    return await Promise.race([ask(wrap<ZipWorker>(worker) as unknown as ZipWorker), broken])
  } finally {
    worker.terminate()
  }
}

/** Files in one zip. */
export async function zipped(files: Files): Promise<Blob> {
  const data = await asked(worker => worker.zip(files))
  return new Blob([data as BlobPart], { type: 'application/zip' })
}

/** Most that the files of one zip may come to, bytes. */
const MOST_BYTES = 600_000_000

/**
 * The files of a zip whose names end so.
 * @throws Error in words for what is no zip, or comes to more than any backup.
 */
export async function unzipped(file: File, ending: string): Promise<{ name: string; bytes: Uint8Array }[]> {
  const data = new Uint8Array(await file.arrayBuffer())
  const files = await asked(worker => worker.unzip(data, { ending, most: MOST_BYTES })).catch(
    (cause: unknown) => {
      throw new Error(
        `“${file.name}” was not opened: it is no zip, or it was cut short. Nothing was changed.`,
        { cause },
      )
    },
  )
  if (files === null)
    throw new Error(
      `“${file.name}” holds more than ${MOST_BYTES / 1e6} MB, which no backup does. Nothing was changed.`,
    )
  return Object.entries(files).map(([name, bytes]) => ({ name, bytes }))
}
