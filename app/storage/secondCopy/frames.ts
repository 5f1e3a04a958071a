import { buf } from 'crc-32'

/** Bytes in front of each frame: its length and its CRC-32, both little-endian. */
const HEAD_BYTES = 8

/** A payload as it is appended to a file: what was cut off in the middle is found by length or checksum. */
export function frame(payload: Uint8Array): Uint8Array {
  const bytes = new Uint8Array(HEAD_BYTES + payload.length)
  const view = new DataView(bytes.buffer)
  view.setUint32(0, payload.length, true)
  view.setInt32(4, buf(payload), true)
  bytes.set(payload, HEAD_BYTES)
  return bytes
}

/** The sound frames at the start of a file, and how many of its bytes they fill: what follows was cut off. */
export function soundFrames(bytes: Uint8Array): { payloads: Uint8Array[]; soundBytes: number } {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const payloads: Uint8Array[] = []
  let at = 0
  while (at + HEAD_BYTES <= bytes.length) {
    const from = at + HEAD_BYTES
    const to = from + view.getUint32(at, true)
    if (to > bytes.length) break
    const payload = bytes.subarray(from, to)
    if (buf(payload) !== view.getInt32(at + 4, true)) break
    payloads.push(payload)
    at = to
  }
  return { payloads, soundBytes: at }
}
