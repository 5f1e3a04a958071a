import { expose, transfer } from 'comlink'
import { unzipSync, zipSync } from 'fflate'

/** Files by name. */
export type Files = Record<string, Uint8Array>

const api = {
  zip(files: Files): Uint8Array {
    const packed = zipSync(files, { level: 4 })
    return transfer(packed, [packed.buffer])
  },

  /** The files whose names end so; null where they come to more than is allowed. */
  unzip(data: Uint8Array, { ending, most }: { ending: string; most: number }): Files | null {
    let sum = 0
    const files = unzipSync(data, {
      filter: ({ name, originalSize }) => {
        if (!name.toLowerCase().endsWith(ending)) return false
        sum += originalSize
        return sum <= most
      },
    })
    return sum > most ? null : files
  },
}

export type ZipWorker = typeof api

expose(api)
