import { bytesInMemory, openRecordings, type SigmfMeta } from '#core/format'

export const ascii = (text: string) => Uint8Array.from(text, character => character.charCodeAt(0))
export const joined = (...parts: Uint8Array[]) => Uint8Array.from(parts.flatMap(part => [...part]))
export const u32 = (value: number) => new Uint8Array(Uint32Array.of(value).buffer)
export const chunk = (name: string, body: Uint8Array, length = body.length) =>
  joined(ascii(name), u32(length), body, new Uint8Array(body.length % 2))
export const fmt = ({
  code = 1,
  channels = 2,
  rate = 48_000,
  bits = 16,
}: {
  code?: number
  channels?: number
  rate?: number
  bits?: number
}) => {
  return chunk(
    'fmt ',
    new Uint8Array(
      Uint16Array.of(code, channels, rate & 0xffff, rate >> 16, 0, 0, (channels * bits) / 8, bits).buffer,
    ),
  )
}
export const riff = (...chunks: Uint8Array[]) =>
  joined(ascii('RIFF'), u32(4 + chunks.reduce((sum, one) => sum + one.length, 0)), ascii('WAVE'), ...chunks)
export const sixteen = (...values: number[]) => new Uint8Array(Int16Array.from(values).buffer)
export const open = async (name: string, bytes: Uint8Array) =>
  (await openRecordings([bytesInMemory(name, bytes)]))[0]!

export const meta = (changes: Partial<SigmfMeta['global']> = {}): SigmfMeta => ({
  global: { 'core:datatype': 'ci16_le', 'core:version': '1.0.0', 'core:sample_rate': 48_000, ...changes },
  captures: [{ 'core:sample_start': 0, 'core:frequency': 146.52e6 }],
  annotations: [],
})
export const metaFile = (name: string, value: unknown) =>
  bytesInMemory(`${name}.sigmf-meta`, ascii(JSON.stringify(value)))

/** A ustar header as GNU tar writes it (IEEE Std 1003.1, from memory). */
export function tarHeader(name: string, size: number, type = '0'): Uint8Array {
  const header = new Uint8Array(512)
  header.set(ascii(name.slice(0, 100)))
  header.set(ascii(size.toString(8).padStart(11, '0')), 124)
  header[156] = type.charCodeAt(0)
  header.set(ascii('ustar\u000000'), 257)
  header.fill(32, 148, 156)
  const sum = header.reduce((total, byte) => total + byte, 0)
  header.set(ascii(`${sum.toString(8).padStart(6, '0')}\0 `), 148)
  return header
}
export const padded = (bytes: Uint8Array) => joined(bytes, new Uint8Array((512 - (bytes.length % 512)) % 512))
export const tar = (...files: [string, Uint8Array, string?][]) =>
  joined(
    ...files.flatMap(([name, bytes, type]) => [tarHeader(name, bytes.length, type), padded(bytes)]),
    new Uint8Array(1024),
  )
