import { Packr } from 'msgpackr'
import { frame, soundFrames } from './frames'

/** What a copy holds: a record as it is kept, one that is gone, or that all there was is in. */
export type CopyEntry = { name: string; record: unknown } | { name: string; gone: true } | { whole: true }

/** Typed arrays come back as what they were (MessagePack with extensions). */
const packr = new Packr({ moreTypes: true, useRecords: false })

/** Entries as they are appended to a file. */
export function framed(entries: readonly CopyEntry[]): Uint8Array {
  const frames = entries.map(entry => frame(packr.pack(entry)))
  const bytes = new Uint8Array(frames.reduce((sum, one) => sum + one.length, 0))
  let at = 0
  for (const one of frames) {
    bytes.set(one, at)
    at += one.length
  }
  return bytes
}

/** A copy as read back. */
export interface ReadCopy {
  records: Map<string, unknown>
  /** All that was there when it was made is in it. */
  isWhole: boolean
  soundBytes: number
}

/** Reads a copy: the last that was said of each record holds. */
export function readCopy(bytes: Uint8Array): ReadCopy {
  const { payloads, soundBytes } = soundFrames(bytes)
  const records = new Map<string, unknown>()
  let isWhole = false
  for (const payload of payloads) {
    const entry = packr.unpack(payload) as CopyEntry
    if ('whole' in entry) isWhole = true
    else if ('gone' in entry) records.delete(entry.name)
    else records.set(entry.name, entry.record)
  }
  return { records, isWhole, soundBytes }
}
