/** A file that can be read in pieces. */
export interface ByteSource {
  name: string
  byteLength: number
  /** Bytes from `from` to before `to`. */
  read: (from: number, to: number) => Promise<Uint8Array>
}

/** Bytes held in memory. */
export function bytesInMemory(name: string, bytes: Uint8Array): ByteSource {
  return { name, byteLength: bytes.length, read: (from, to) => Promise.resolve(bytes.subarray(from, to)) }
}

/** Part of a source as a source of its own: a file inside an archive. */
export function partOfSource(
  source: ByteSource,
  part: { name: string; from: number; byteLength: number },
): ByteSource {
  const end = Math.min(source.byteLength, part.from + part.byteLength)
  return {
    name: part.name,
    byteLength: Math.max(0, end - part.from),
    read: (from, to) => source.read(part.from + from, Math.min(end, part.from + to)),
  }
}
