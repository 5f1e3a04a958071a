import type { ByteSource } from '../byteSource'
import { badFile } from '../traceText'
import type { SampleFormat } from './sampleFormat'
import { bytesPerSample } from './sampleFormat'

/** What a WAV file’s chunks say. */
export interface WavHead {
  format: SampleFormat
  sampleRateHz: number
  /** Where the samples lie, bytes. */
  from: number
  byteLength: number
  warnings: string[]
}

const PCM = 1
const FLOAT = 3
const EXTENSIBLE = 0xfffe
const UNKNOWN_LENGTH = 0xffffffff
const MOST_CHUNKS = 1_000

/**
 * Walks the chunks of a WAV file (RIFF, or RF64 for long ones), whatever stands before and after the samples;
 * chunks of odd length are padded.
 * @throws CoreError `bad-file` when it is no WAV file or its samples are of a kind not known.
 * @see Microsoft and IBM, “Multimedia Programming Interface and Data Specifications 1.0” (1991); EBU Tech
 *   3306 for RF64 (from memory).
 */
export async function readWavHead(source: ByteSource): Promise<WavHead> {
  const head = await viewOf(source, 0, 12, 12)
  const kind = head && text(head, 0, 4)
  if (!head || (kind !== 'RIFF' && kind !== 'RF64') || text(head, 8, 4) !== 'WAVE')
    throw badFile(source.name, null, 'it is not a WAV file, whatever its name says')
  let format: Pick<WavHead, 'format' | 'sampleRateHz'> | null = null
  let longLength: number | null = null
  let at = 12
  for (let chunks = 0; chunks < MOST_CHUNKS && at + 8 <= source.byteLength; chunks++) {
    const chunk = (await viewOf(source, at, 8))!
    const name = text(chunk, 0, 4)
    const length = chunk.getUint32(4, true)
    if (name === 'ds64') longLength = await longLengthAt(source, at + 8)
    if (name === 'fmt ') format = formatOf(await viewOf(source, at + 8, Math.min(length, 40)), source.name)
    if (name === 'data') {
      if (!format)
        throw badFile(source.name, null, 'its samples come before the chunk that says how they are written')
      const promised = length === UNKNOWN_LENGTH && longLength !== null ? longLength : length
      return samplesFrom(at + 8, { promised, there: source.byteLength - at - 8, format })
    }
    at += 8 + length + (length % 2)
  }
  throw badFile(
    source.name,
    null,
    format
      ? 'it has no samples: the data chunk is missing or the file was cut short before it'
      : 'it was cut short: not even the chunk that says how it is written is there',
  )
}

interface DataChunk {
  promised: number
  there: number
  format: Pick<WavHead, 'format' | 'sampleRateHz'>
}

/** The true length of the samples, where the chunk that says it is whole. */
async function longLengthAt(source: ByteSource, at: number): Promise<number | null> {
  const sizes = await viewOf(source, at, 24, 16)
  return sizes && Number(sizes.getBigUint64(8, true))
}

/** A length of nought or all ones was never filled in: the file runs to its end. */
function samplesFrom(from: number, chunk: DataChunk): WavHead {
  const open = chunk.promised === UNKNOWN_LENGTH || chunk.promised === 0
  return {
    ...chunk.format,
    from,
    byteLength: open ? chunk.there : Math.min(chunk.promised, chunk.there),
    warnings: !open && chunk.promised > chunk.there ? [cutShort(chunk)] : [],
  }
}

function cutShort(chunk: DataChunk): string {
  const seconds = (bytes: number) => bytes / bytesPerSample(chunk.format.format) / chunk.format.sampleRateHz
  return (
    `The file was cut short: it promises ${seconds(chunk.promised).toFixed(2)} s and holds ` +
    `${seconds(chunk.there).toFixed(2)} s. What is there is used.`
  )
}

const PCM_BITS = [8, 16, 24, 32]
const FLOAT_BITS = [32, 64]

/** PCM of eight bits has no sign; all wider do. */
const pcmEncoding = (bits: number) => (bits === 8 ? 'uint' : 'int')

function formatOf(view: DataView | null, fileName: string): Pick<WavHead, 'format' | 'sampleRateHz'> {
  if (!view || view.byteLength < 16)
    throw badFile(fileName, null, 'the chunk that says how its samples are written was cut short')
  const tag = view.getUint16(0, true)
  const code = tag === EXTENSIBLE && view.byteLength >= 26 ? view.getUint16(24, true) : tag
  const channels = view.getUint16(2, true)
  const sampleRateHz = view.getUint32(4, true)
  const bits = view.getUint16(14, true)
  if (sampleRateHz === 0 || channels === 0)
    throw badFile(
      fileName,
      null,
      `it says ${sampleRateHz} samples a second in ${channels} channels, which cannot be`,
    )
  if (code !== PCM && code !== FLOAT)
    throw badFile(
      fileName,
      null,
      `its samples are packed in a way not known here (format ${code}); save it as plain PCM or float`,
    )
  if (!(code === FLOAT ? FLOAT_BITS : PCM_BITS).includes(bits))
    throw badFile(
      fileName,
      null,
      `its samples have ${bits} bits; known here are 8, 16, 24 and 32 bits, and float`,
    )
  return {
    sampleRateHz,
    format: {
      encoding: code === FLOAT ? 'float' : pcmEncoding(bits),
      bits: bits as SampleFormat['bits'],
      littleEndian: true,
      channels,
    },
  }
}

/** Bytes of a file; null where there are fewer than are needed of them. */
async function viewOf(
  source: ByteSource,
  from: number,
  length: number,
  needed = Math.min(length, 8),
): Promise<DataView | null> {
  const bytes = await source.read(from, Math.min(source.byteLength, from + length))
  return bytes.length < Math.max(1, needed)
    ? null
    : new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
}

function text(view: DataView, from: number, length: number): string {
  return String.fromCharCode(...Array.from({ length }, (_unused, i) => view.getUint8(from + i)))
}
