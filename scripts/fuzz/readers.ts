import { analyseRecording } from '../../cli/analyseRecording'
import { createContext } from '../../core/context'
import { demoReview } from '../../core/demo'
import { bytesInMemory, openRecordings, parseLogCsv, parseTraceCsv } from '../../core/format'
import {
  parseFrequency,
  parseLevel,
  parsePlainNumber,
  parseRatio,
  parseReflection,
} from '../../core/quantity'
import { buildReport } from '../../core/report'
import { readReviewFile, salvageReviewFile, validateReview, writeReviewFile } from '../../core/review'
import { readRulebookFile, rulebooks, writeRulebookFile } from '../../core/rules'
import { SINAD_DEFAULTS } from '../../core/signal'
import { chunk, fmt, joined, meta, riff, tar, u32 } from '../../tests/support/recordingFiles'
import { type Chance, mutated, mutatedJson } from './mutations'

/** A reader of files, with sound files to begin from. */
export interface Reader {
  name: string
  seeds: Uint8Array[]
  mutate: (bytes: Uint8Array, by: Chance) => Uint8Array
  /** Reads; what is accepted comes back, so that it can be looked through for what is no figure. */
  read: (bytes: Uint8Array) => unknown
}

const text = (words: string) => new TextEncoder().encode(words)
const words = (bytes: Uint8Array) => new TextDecoder().decode(bytes)

/** A second of a tone in some noise, at a few thousand samples a second. */
function samples(count: number): number[] {
  let state = 7
  return Array.from({ length: count }, (_unused, i) => {
    state = (state * 1103515245 + 12345) % 2147483648
    return Math.round(9000 * Math.sin((2 * Math.PI * 1000 * i) / 8000) + 300 * (state / 2147483648 - 0.5))
  })
}

const pcm16 = new Uint8Array(Int16Array.from(samples(8000)).buffer)
const float32 = new Uint8Array(Float32Array.from(samples(8000), value => value / 32768).buffer)
const wav = (head: Parameters<typeof fmt>[0], data: Uint8Array) => riff(fmt(head), chunk('data', data))
const rf64 = joined(
  new TextEncoder().encode('RF64'),
  u32(0xffffffff),
  new TextEncoder().encode('WAVE'),
  chunk('ds64', joined(u32(16_100), u32(0), u32(16_000), u32(0), u32(8000), u32(0), u32(0))),
  fmt({ channels: 1, rate: 8000 }),
  chunk('data', pcm16, 0xffffffff),
)
const sigmf = text(JSON.stringify(meta()))

/** Recordings as the page and the shell take them: opened, then analysed as audio or as I and Q. */
const recording = (name: string) => async (bytes: Uint8Array) => {
  const files =
    name === 'x.sigmf-meta'
      ? [bytesInMemory(name, bytes), bytesInMemory('x.sigmf-data', pcm16)]
      : [bytesInMemory(name, bytes)]
  const found = []
  const there = files.reduce((sum, { byteLength }) => sum + byteLength, 0)
  for (const one of await openRecordings(files)) {
    if (one.sampleCount > there) throw new Error(`${one.sampleCount} samples were found in ${there} bytes`)
    found.push(
      await analyseRecording(one, {
        as: null,
        channel: 0,
        sinad: SINAD_DEFAULTS,
        channelSpacingHz: 12_500,
      }),
    )
  }
  return found
}

const demo = demoReview()
const TRACE = `# a pocket analyser\nFrequency (MHz),Level (dBm)\n${Array.from({ length: 60 }, (_unused, i) => `${100 + i},-${60 + (i % 20)}.5`).join('\n')}`
const TRACE_EU = `Frequenz [Hz];Pegel [dBm]\r\n${Array.from({ length: 60 }, (_unused, i) => `${100e6 + i * 1e5};-${60 + (i % 20)},5`).join('\r\n')}`
const LOG = `time,power W\n${Array.from({ length: 60 }, (_unused, i) => `0:${String(i).padStart(2, '0')},${(5 - i / 100).toFixed(2)}`).join('\n')}`
const LOG_CLOCK = `time;dBm\n23:59:58;37,1\n23:59:59;37,0\n00:00:00;36,9\n00:00:02;36,8`

/** Everything a person can type figures into. */
function typed(bytes: Uint8Array): unknown {
  const line = words(bytes)
  return [
    parseLevel(line, { bareUnit: 'dBm' }),
    parseFrequency(line),
    parsePlainNumber(line, { min: -1e9, max: 1e9, unit: 'dB' }),
    parseRatio(line, { bareUnit: 'dB' }),
    parseReflection(line),
  ]
}

function review(bytes: Uint8Array): unknown {
  const { review: read } = readReviewFile(words(bytes), 'fuzz.json')
  validateReview(JSON.parse(JSON.stringify(read)))
  // What is accepted can be judged and printed; figures that do not exist are told there, not here.
  buildReport(createContext(read), { version: 'fuzz', at: 'now' })
  return read
}

export const READERS: Reader[] = [
  {
    name: 'WAV and RF64',
    seeds: [
      wav({ channels: 1, rate: 8000 }, pcm16),
      wav({ channels: 2, rate: 8000 }, pcm16),
      wav({ code: 3, channels: 1, rate: 8000, bits: 32 }, float32),
      wav({ channels: 1, rate: 8000, bits: 8 }, pcm16.slice(0, 8000)),
      rf64,
    ],
    mutate: mutated,
    read: recording('x.wav'),
  },
  { name: 'SigMF', seeds: [sigmf], mutate: mutatedJson, read: recording('x.sigmf-meta') },
  {
    name: 'SigMF archive',
    seeds: [tar(['x/x.sigmf-meta', sigmf], ['x/x.sigmf-data', pcm16])],
    mutate: mutated,
    read: recording('x.sigmf'),
  },
  {
    name: 'trace',
    seeds: [text(TRACE), text(TRACE_EU)],
    mutate: mutated,
    read: bytes => parseTraceCsv(words(bytes), 'fuzz.csv'),
  },
  {
    name: 'log of power',
    seeds: [text(LOG), text(LOG_CLOCK)],
    mutate: mutated,
    read: bytes => parseLogCsv(words(bytes), 'fuzz.csv', { bareUnit: 'W' }),
  },
  {
    name: 'review',
    seeds: [
      text(writeReviewFile({ ...demo, curves: new Map() }, { version: 'fuzz', at: demo.review.createdAt })),
    ],
    mutate: mutatedJson,
    read: review,
  },
  {
    name: 'what is sound of a review',
    seeds: [
      text(writeReviewFile({ ...demo, curves: new Map() }, { version: 'fuzz', at: demo.review.createdAt })),
    ],
    mutate: mutatedJson,
    read(bytes) {
      const sound = salvageReviewFile(words(bytes), 'fuzz.json', {
        id: 'f',
        title: 'f',
        at: demo.review.createdAt,
      })
      return sound && validateReview(sound.review)
    },
  },
  {
    name: 'rulebook',
    seeds: rulebooks.map(book => text(writeRulebookFile(book))),
    mutate: mutatedJson,
    read: bytes => readRulebookFile(words(bytes), 'fuzz.json'),
  },
  {
    name: 'typed figures',
    seeds: ['-13.2 dBm', '5 W', '446.00625 MHz', '1.5:1', '20 dB', '12 µV emf', '±0,5 dB'].map(text),
    mutate: mutated,
    read: typed,
  },
]
