import { printFrequencyShort } from '../../quantity'
import type { SampleSource } from '../../signal'
import { type ByteSource, partOfSource } from '../byteSource'
import { badFile } from '../traceText'
import { utf8Text } from '../utf8'
import { bytesPerSample, type ChannelUse, decodeSamples, type SampleFormat } from './sampleFormat'
import { readSigmfMeta, sigmfDatatype, sigmfFormat, sigmfIsComplex, type SigmfMeta } from './sigmf'
import { tarEntries } from './tarEntries'
import { readWavHead } from './wavHead'

/** A recording ready to be read in slices. */
export interface Recording {
  name: string
  /** File whose bytes are the samples. */
  data: ByteSource
  from: number
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
 * Opens the recordings among files dropped together: WAV files, SigMF metadata with their data, SigMF archives.
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
      if (!data) throw badFile(file.name, null, `its samples are missing: drop “${base}${DATA}” together with it`)
      recordings.push(await sigmfRecording(file, data))
    }
    else if (ending(file, DATA)) {
      const base = file.name.slice(0, -DATA.length)
      if (!files.some(other => other.name.toLowerCase() === `${base}${META}`.toLowerCase())) throw badFile(file.name, null, `nothing says how it was sampled: drop “${base}${META}” together with it`)
    }
    else if (ending(file, ARCHIVE)) recordings.push(...await archived(file))
    else recordings.push(await wavRecording(file))
  }
  return recordings
}

async function archived(file: ByteSource): Promise<Recording[]> {
  const entries = (await tarEntries(file)).filter(({ name }) => /\.sigmf-(meta|data)$/i.test(name))
  const parts = entries.map(entry => ({ entry, source: partOfSource(file, { ...entry, name: entry.name.split('/').at(-1)! }) }))
  const metas = parts.filter(({ entry }) => entry.name.toLowerCase().endsWith(META))
  if (metas.length === 0) throw badFile(file.name, null, 'the archive holds no SigMF metadata')
  return Promise.all(metas.map(({ entry, source }) => {
    const base = entry.name.slice(0, -META.length).toLowerCase()
    const data = parts.find(other => other.entry.name.toLowerCase() === `${base}${DATA}`)
    if (!data) throw badFile(file.name, null, `the samples of “${entry.name}” are missing in the archive`)
    return sigmfRecording(source, data.source, data.entry.byteLength > data.source.byteLength)
  }))
}

const MOST_META_BYTES = 20_000_000

async function sigmfRecording(metaFile: ByteSource, data: ByteSource, cutShort = false): Promise<Recording> {
  if (metaFile.byteLength > MOST_META_BYTES) throw badFile(metaFile.name, null, 'its metadata is larger than 20 MB')
  const meta = readSigmfMeta(utf8Text(await metaFile.read(0, metaFile.byteLength)), metaFile.name)
  const sampleRateHz = meta.global['core:sample_rate']
  if (sampleRateHz === undefined) throw badFile(metaFile.name, null, 'it does not say how fast it was sampled (core:sample_rate)')
  const format = sigmfFormat(meta)
  const complex = sigmfIsComplex(meta)
  const frequency = meta.captures[0]?.['core:frequency'] ?? null
  return recordingOf({
    name: data.name, data, from: 0, byteLength: data.byteLength, format, sampleRateHz, centreHz: frequency, mayBeIq: complex, meta,
    understood: [`SigMF, ${meta.global['core:datatype']}, ${complex ? 'I and Q' : 'real samples'}`, ...(meta.captures.length > 1 ? [`${meta.captures.length} captures in it; the frequency of the first is taken for all.`] : [])],
    warnings: cutShort ? ['The archive was cut short: what is there of the samples is used.'] : [],
  })
}

async function wavRecording(file: ByteSource): Promise<Recording> {
  const head = await readWavHead(file)
  const { format } = head
  const kind = format.encoding === 'float' ? `${format.bits}-bit float` : `${format.bits}-bit`
  const complex = format.channels === 2
  return recordingOf({
    ...head, name: file.name, data: file, centreHz: null, mayBeIq: complex,
    understood: [`WAV, ${kind}, ${format.channels === 1 ? 'one channel' : `${format.channels} channels`}`],
    meta: { global: { 'core:datatype': sigmfDatatype(format, complex), 'core:version': '1.0.0', 'core:sample_rate': head.sampleRateHz }, captures: [{ 'core:sample_start': 0 }], annotations: [] },
  })
}

function recordingOf(of: Omit<Recording, 'sampleCount'>): Recording {
  const stride = bytesPerSample(of.format)
  const sampleCount = Math.floor(of.byteLength / stride)
  const left = of.byteLength - sampleCount * stride
  if (sampleCount === 0) throw badFile(of.name, null, 'there is not one whole sample in it')
  return {
    ...of, sampleCount,
    understood: [...of.understood, `${printRate(of.sampleRateHz)}, ${(sampleCount / of.sampleRateHz).toFixed(2)} s`, ...(of.centreHz === null ? [] : [`Middle at ${printFrequencyShort(of.centreHz)}`])],
    warnings: [...of.warnings, ...(left > 0 ? [`The last ${left} bytes do not fill a sample and are left out; was the file cut short?`] : [])],
  }
}

function printRate(rateHz: number): string {
  return `${Number((rateHz / 1e3).toFixed(3))} thousand samples a second`
}

/** The samples of a recording, read from its file as they are asked for. The sample rate and the middle may be put right by the user. */
export function samplesOf(recording: Recording, use: ChannelUse, put: { sampleRateHz?: number; centreHz?: number | null } = {}): SampleSource {
  const stride = bytesPerSample(recording.format)
  return {
    sampleRateHz: put.sampleRateHz ?? recording.sampleRateHz, centreHz: put.centreHz === undefined ? recording.centreHz : put.centreHz, sampleCount: recording.sampleCount, layout: use.kind,
    read: async (from, count) => {
      const to = Math.min(recording.sampleCount, from + count)
      if (to <= from) return new Float32Array(0)
      return decodeSamples(await recording.data.read(recording.from + from * stride, recording.from + to * stride), recording.format, use)
    },
  }
}
