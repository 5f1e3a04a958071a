import { open, stat } from 'node:fs/promises'
import { basename } from 'node:path'
import type { ByteSource } from '#core/format'

/** A file on the disk, read in pieces. */
export async function fileSource(path: string): Promise<ByteSource> {
  const { size } = await stat(path)
  return {
    name: basename(path),
    byteLength: size,
    read: async (from, to) => {
      const length = Math.max(0, Math.min(to, size) - from)
      const bytes = new Uint8Array(length)
      const file = await open(path, 'r')
      try {
        let done = 0
        while (done < length) {
          const { bytesRead } = await file.read(bytes, done, length - done, from + done)
          if (bytesRead === 0) break
          done += bytesRead
        }
        return bytes.subarray(0, done)
      } finally {
        await file.close()
      }
    },
  }
}
