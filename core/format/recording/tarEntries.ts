import type { ByteSource } from '../byteSource'
import { badFile } from '../traceText'
import { utf8Text } from '../utf8'

/** A file inside an archive, by where it lies. */
export interface TarEntry {
  name: string
  from: number
  byteLength: number
}

const BLOCK = 512
const MOST_ENTRIES = 10_000

/** Longest name of an entry, bytes, with what stands around it. */
const LONGEST_NAME = 8192

/**
 * Files in an uncompressed tar archive, found by their headers alone, so that a long recording in it can be
 * read in slices
 * (packages for tar read it whole or as a stream).
 * @throws CoreError `bad-file` when it is no tar archive.
 * @see IEEE Std 1003.1, ustar interchange format (from memory).
 */
export async function tarEntries(source: ByteSource): Promise<TarEntry[]> {
  const entries: TarEntry[] = []
  let longName: string | null = null
  let at = 0
  for (let i = 0; i < MOST_ENTRIES && at + BLOCK <= source.byteLength; i++) {
    const header = await source.read(at, at + BLOCK)
    if (header.every(byte => byte === 0)) break
    if (!isHeader(header))
      throw badFile(
        source.name,
        null,
        entries.length === 0
          ? 'it is not a tar archive, whatever its name says'
          : 'the archive is damaged, or was cut short',
      )
    const { type, byteLength } = entryHead(header, source.name)
    const from = at + BLOCK
    if (type === 'L') longName = field(await source.read(from, from + byteLength), 0, byteLength)
    else if (type === 'x') longName = paxPath(await source.read(from, from + byteLength)) ?? longName
    else if (type === '0' || type === '\0') {
      const prefix = field(header, 345, 155)
      entries.push({
        name: longName ?? (prefix ? `${prefix}/` : '') + field(header, 0, 100),
        from,
        byteLength,
      })
      longName = null
    }
    at = from + Math.ceil(byteLength / BLOCK) * BLOCK
  }
  return entries
}

/** What kind of entry a header speaks of, and how long it is. */
function entryHead(header: Uint8Array, fileName: string): { type: string; byteLength: number } {
  const byteLength = sizeOf(header)
  if (!Number.isSafeInteger(byteLength) || byteLength < 0)
    throw badFile(fileName, null, 'the archive is damaged: it says of an entry no length')
  const type = String.fromCharCode(header[156]!)
  if ((type === 'L' || type === 'x') && byteLength > LONGEST_NAME)
    throw badFile(fileName, null, `a name in it is longer than ${LONGEST_NAME} bytes, which no name is`)
  return { type, byteLength }
}

function isHeader(header: Uint8Array): boolean {
  const stated = parseInt(field(header, 148, 8).trim(), 8)
  let sum = 0
  for (let i = 0; i < BLOCK; i++) sum += i >= 148 && i < 156 ? 32 : header[i]!
  return sum === stated
}

function sizeOf(header: Uint8Array): number {
  if ((header[124]! & 0x80) === 0) return parseInt(field(header, 124, 12).trim() || '0', 8)
  let size = 0
  for (let i = 125; i < 136; i++) size = size * 256 + header[i]!
  return size
}

function field(bytes: Uint8Array, from: number, length: number): string {
  let to = from
  while (to < Math.min(bytes.length, from + length) && bytes[to] !== 0) to += 1
  return utf8Text(bytes.subarray(from, to))
}

function paxPath(bytes: Uint8Array): string | null {
  return /(?:^|\n)\d+ path=([^\n]+)/.exec(utf8Text(bytes))?.[1] ?? null
}
