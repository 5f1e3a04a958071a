import { printFrequencyShort } from '../../quantity'
import { partOfSamples, type SamplePart, type SampleSource } from '../../signal'
import { type ByteSource, partOfSource } from '../byteSource'
import { badFile } from '../traceText'
import { utf8Text } from '../utf8'
import { bytesPerSample, type ChannelUse, decodeSamples, type SampleFormat } from './sampleFormat'
import { readSigmfMeta, sigmfDatatype, sigmfFormat, sigmfIsComplex, type SigmfMeta } from './sigmf'
import { tarEntries } from './tarEntries'
import { readWavHead } from './wavHead'

/** A recording ready to be read in slices. */
export interface Recording {
  /** File of the samples, and which capture where there are several. */
  name: string
  /** The file as it was dropped: the archive, where the samples lie in one. */
  fileName: string
  /** File whose bytes are the samples. */
  data: ByteSource
  /** First byte of its samples. */
  from: number
  /** First of its samples in the whole dataset. */
  firstSample: number
  byteLength: number
  format: SampleFormat
  sampleRateHz: number
  centreHz: number | null
  /** Two channels may be I and Q, or two of audio. */
  mayBeIq: boolean
  sampleCount: number
  understood: string[]
  warnings: string[]
  /** Its metadata, or metadata as SigMF would have it. */
  meta: SigmfMeta
}

const META = '.sigmf-meta'
const DATA = '.sigmf-data'
const ARCHIVE = '.sigmf'

/** True for the name of a file that belongs to a recording. */
export function isRecordingName(name: string): boolean {
  return /\.(wav|wave|sigmf|sigmf-meta|sigmf-data)$/i.test(name)
}

/**
 * Opens the recordings among files dropped together: WAV files, SigMF metadata with their data, SigMF
 * archives.
 * @throws CoreError `bad-file` in plain words, for the first that cannot be opened.
 */
export async function openRecordings(files: readonly ByteSource[]): Promise<Recording[]> {
  const recordings: Recording[] = []
  const ending = (file: ByteSource, wanted: string) => file.name.toLowerCase().endsWith(wanted)
  for (const file of files.filter(one => isRecordingName(one.name))) {
    if (file.byteLength === 0) throw badFile(file.name, null, 'it is empty')
    if (ending(file, META)) {
      const base = file.name.slice(0, -META.length)
      const data = files.find(other => other.name.toLowerCase() === `${base}${DATA}`.toLowerCase())
      if (!data)
        throw badFile(file.name, null, `its samples are missing: drop “${base}${DATA}” together with it`)
      recordings.push(...(await sigmfRecordings(file, data, { fileName: data.name })))
    } else if (ending(file, DATA)) {
      const base = file.name.slice(0, -DATA.length)
      if (!files.some(other => other.name.toLowerCase() === `${base}${META}`.toLowerCase()))
        throw badFile(
          file.name,
          null,
          `nothing says how it was sampled: drop “${base}${META}” together with it`,
        )
    } else if (ending(file, ARCHIVE)) recordings.push(...(await archived(file)))
    else recordings.push(await wavRecording(file))
  }
  return recordings
}

async function archived(file: ByteSource): Promise<Recording[]> {
  const entries = (await tarEntries(file)).filter(({ name }) => /\.sigmf-(meta|data)$/i.test(name))
  const parts = entries.map(entry => ({
    entry,
    source: partOfSource(file, { ...entry, name: entry.name.split('/').at(-1)! }),
  }))
  const metas = parts.filter(({ entry }) => entry.name.toLowerCase().endsWith(META))
  if (metas.length === 0) throw badFile(file.name, null, 'the archive holds no SigMF metadata')
  return (
    await Promise.all(
      metas.map(({ entry, source }) => {
        const base = entry.name.slice(0, -META.length).toLowerCase()
        const data = parts.find(other => other.entry.name.toLowerCase() === `${base}${DATA}`)
        if (!data) throw badFile(file.name, null, `the samples of “${entry.name}” are missing in the archive`)
        return sigmfRecordings(source, data.source, {
          fileName: file.name,
          cutShort: data.entry.byteLength > data.source.byteLength,
        })
      }),
    )
  ).flat()
}

const MOST_META_BYTES = 20_000_000

/** The recordings of a dataset: each capture is one of its own, with its own middle. */
async function sigmfRecordings(
  metaFile: ByteSource,
  data: ByteSource,
  { fileName, cutShort = false }: { fileName: string; cutShort?: boolean },
): Promise<Recording[]> {
  if (metaFile.byteLength > MOST_META_BYTES)
    throw badFile(metaFile.name, null, 'its metadata is larger than 20 MB')
  const meta = readSigmfMeta(utf8Text(await metaFile.read(0, metaFile.byteLength)), metaFile.name)
  const sampleRateHz = meta.global['core:sample_rate']
  if (sampleRateHz === undefined)
    throw badFile(metaFile.name, null, 'it does not say how fast it was sampled (core:sample_rate)')
  const format = sigmfFormat(meta)
  const complex = sigmfIsComplex(meta)
  const stride = bytesPerSample(format)
  const captures = [...(meta.captures.length > 0 ? meta.captures : [{ 'core:sample_start': 0 }])].sort(
    (a, b) => a['core:sample_start'] - b['core:sample_start'],
  )
  const present = captures.filter(capture => capture['core:sample_start'] * stride < data.byteLength)
  if (present.length === 0)
    throw badFile(
      data.name,
      null,
      data.byteLength === 0
        ? 'it is empty'
        : 'its first capture begins after the end of the samples; was the file cut short?',
    )
  return present.map((capture, i) => {
    const from = capture['core:sample_start'] * stride
    const next = present[i + 1]
    return recordingOf({
      name: captures.length === 1 ? data.name : `${data.name}, capture ${i + 1} of ${captures.length}`,
      fileName,
      data,
      from,
      byteLength: (next ? next['core:sample_start'] * stride : data.byteLength) - from,
      firstSample: capture['core:sample_start'],
      format,
      sampleRateHz,
      centreHz: capture['core:frequency'] ?? null,
      mayBeIq: complex,
      meta,
      understood: [`SigMF, ${meta.global['core:datatype']}, ${complex ? 'I and Q' : 'real samples'}`],
      warnings: [
        ...(cutShort ? ['The archive was cut short: what is there of the samples is used.'] : []),
        ...(present.length < captures.length
          ? [
              `${captures.length - present.length} of its captures lie after the end of the samples ` +
                'and are left out; was the file cut short?',
            ]
          : []),
      ],
    })
  })
}

async function wavRecording(file: ByteSource): Promise<Recording> {
  const head = await readWavHead(file)
  const { format } = head
  const kind = format.encoding === 'float' ? `${format.bits}-bit float` : `${format.bits}-bit`
  const complex = format.channels === 2
  return recordingOf({
    ...head,
    name: file.name,
    fileName: file.name,
    data: file,
    firstSample: 0,
    centreHz: null,
    mayBeIq: complex,
    understood: [`WAV, ${kind}, ${format.channels === 1 ? 'one channel' : `${format.channels} channels`}`],
    meta: {
      global: {
        'core:datatype': sigmfDatatype(format, complex),
        'core:version': '1.0.0',
        'core:sample_rate': head.sampleRateHz,
      },
      captures: [{ 'core:sample_start': 0 }],
      annotations: [],
    },
  })
}

function recordingOf(head: Omit<Recording, 'sampleCount'>): Recording {
  const stride = bytesPerSample(head.format)
  const sampleCount = Math.floor(head.byteLength / stride)
  const left = head.byteLength - sampleCount * stride
  if (sampleCount === 0) throw badFile(head.name, null, 'there is not one whole sample in it')
  return {
    ...head,
    sampleCount,
    understood: [
      ...head.understood,
      `${printRate(head.sampleRateHz)}, ${(sampleCount / head.sampleRateHz).toFixed(2)} s`,
      ...(head.centreHz === null ? [] : [`Middle at ${printFrequencyShort(head.centreHz)}`]),
    ],
    warnings: [
      ...head.warnings,
      ...(left > 0
        ? [`The last ${left} bytes do not fill a sample and are left out; was the file cut short?`]
        : []),
    ],
  }
}

function printRate(rateHz: number): string {
  return `${Number((rateHz / 1e3).toFixed(3))} thousand samples a second`
}

/**
 * The samples of a recording, read from its file as they are asked for. The sample rate and the middle may be
 * put right by the user, and a
 * part of it be taken.
 * @throws CoreError `too-few` when nothing lies in the part.
 */
export function samplesOf(
  recording: Recording,
  use: ChannelUse,
  put: { sampleRateHz?: number; centreHz?: number | null } & Partial<SamplePart> = {},
): SampleSource {
  const stride = bytesPerSample(recording.format)
  return partOfSamples(
    {
      sampleRateHz: put.sampleRateHz ?? recording.sampleRateHz,
      centreHz: put.centreHz === undefined ? recording.centreHz : put.centreHz,
      sampleCount: recording.sampleCount,
      layout: use.kind,
      read: async (from, count) => {
        const to = Math.min(recording.sampleCount, from + count)
        if (to <= from) return new Float32Array(0)
        const { data, format } = recording
        const samples = decodeSamples(
          await data.read(recording.from + from * stride, recording.from + to * stride),
          format,
          use,
        )
        if (format.encoding === 'float') refuseNoNumbers(samples, { recording, from })
        return samples
      },
    },
    { fromS: put.fromS ?? null, toS: put.toS ?? null },
  )
}

/**
 * Float files can hold what is no number, and no figure may come of it.
 * @throws CoreError `bad-file` that says how many there are, and where.
 */
function refuseNoNumbers(
  samples: Float32Array,
  { recording, from }: { recording: Recording; from: number },
): void {
  let [count, first, last] = [0, -1, -1]
  for (let i = 0; i < samples.length; i++) {
    if (Number.isFinite(samples[i]!)) continue
    if (first < 0) first = i
    last = i
    count += 1
  }
  if (count === 0) return
  const at = (index: number) => ((from + Math.floor(index / 2)) / recording.sampleRateHz).toFixed(3)
  throw badFile(
    recording.name,
    null,
    `${count} of its samples are no numbers (NaN or infinite), the first at ${at(first)} s, ` +
      `the last of this stretch at ${at(last)} s; choose a part without them`,
  )
}
