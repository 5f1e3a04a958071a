import { describe, expect, it } from 'vitest'
import { bytesInMemory, openRecordings, parseLogCsv, parseTraceCsv, samplesOf } from '#core/format'
import { parseReflection } from '#core/quantity'
import { readReviewFile } from '#core/review'
import { readRulebookFile } from '#core/rules'
import { concludeAnalysis, gatherStretch, portableFft } from '#core/signal'
import {
  ascii,
  chunk,
  fmt,
  joined,
  meta,
  metaFile,
  open,
  padded,
  riff,
  tarHeader,
  u32,
} from '../../support/recordingFiles'

/** What a piece of work refuses with; anything that is not ours fails the test. */
async function refusal(work: () => unknown): Promise<string> {
  const error = await Promise.resolve()
    .then(work)
    .catch((cause: unknown) => cause)
  expect(error).toHaveProperty('code')
  return (error as Error).message
}

const float32 = (...values: number[]) => new Uint8Array(Float32Array.from(values).buffer)
const floats = (...values: number[]) =>
  open('f.wav', riff(fmt({ code: 3, bits: 32, rate: 48_000 }), chunk('data', float32(...values))))

describe('files nobody would write', () => {
  it.each([7, 8, 9, 10, 11])('a WAV of %i bytes is none', async length => {
    const whole = riff(fmt({}))
    expect(await refusal(() => open('a.wav', whole.slice(0, length)))).toContain('not a WAV file')
  })

  it.each([0, 4, 8, 15])(
    'an RF64 whose ds64 was cut to %i bytes is refused or read to its end',
    async length => {
      const head = joined(ascii('RF64'), u32(0xffffffff), ascii('WAVE'))
      const bytes = joined(head, ascii('ds64'), u32(28), new Uint8Array(length))
      expect(await refusal(() => open('a.wav', bytes))).toContain('was cut short')
    },
  )

  it('a SigMF file with more captures than are read says so at once', async () => {
    const captures = (count: number) => ({
      ...meta(),
      captures: Array.from({ length: count }, (_unused, i) => ({ 'core:sample_start': i })),
    })
    const files = (count: number) => [
      metaFile('a', captures(count)),
      bytesInMemory('a.sigmf-data', new Uint8Array(4 * 1200)),
    ]
    expect(await refusal(() => openRecordings(files(1001)))).toContain('more than 1000 captures')
    expect(await openRecordings(files(1000))).toHaveLength(1000)
  })

  it('a middle above what SigMF knows is refused; the highest it knows is read', async () => {
    const at = (hz: number) => [
      metaFile('a', { ...meta(), captures: [{ 'core:sample_start': 0, 'core:frequency': hz }] }),
      bytesInMemory('a.sigmf-data', new Uint8Array(400)),
    ]
    expect(await refusal(() => openRecordings(at(1e15)))).toContain('core:frequency')
    expect((await openRecordings(at(1e12)))[0]!.centreHz).toBe(1e12)
  })

  it('an archive whose name has no end, or whose entry says no length, is refused', async () => {
    const long = (length: number) =>
      joined(tarHeader('././@LongLink', length, 'L'), padded(new Uint8Array(length).fill(97)))
    expect(await refusal(() => open('a.sigmf', long(8193)))).toContain('longer than 8192 bytes')
    const broken = tarHeader('a', 0)
    broken.set(ascii('zzzzzzzzzzz'), 124)
    broken.fill(32, 148, 156)
    const sum = broken.reduce((total, byte) => total + byte, 0)
    broken.set(ascii(`${sum.toString(8).padStart(6, '0')}\0 `), 148)
    expect(await refusal(() => open('a.sigmf', broken))).toContain('no length')
  })

  it.each([Number.NaN, Infinity, -Infinity])(
    'a sample of %d is counted and told, and no figure comes of it',
    async odd => {
      const recording = await floats(0, 0.1, 0.2, odd, 0.3, odd, 0.5, 0.6)
      const read = () => samplesOf(recording, { kind: 'iq' }).read(0, 4)
      expect(await refusal(read)).toContain('2 of its samples are no numbers')
      expect(await samplesOf(recording, { kind: 'iq' }).read(3, 1)).toEqual(Float32Array.of(0.5, 0.6))
    },
  )

  it('silence is no signal, and has neither bandwidth nor deviation nor a carrier', async () => {
    const recording = await floats(...new Array<number>(4096).fill(0))
    const source = samplesOf(recording, { kind: 'iq' })
    const settings = {
      ...{ size: 256, window: 'blackman-harris' as const, columns: 10, rows: 10 },
      ...{ fmShiftHz: 0, channelHalfHz: 5000, neighbourFromHz: null, channelSpacingHz: null, insight: null },
    }
    const stretch = { from: 0, to: source.sampleCount, engine: portableFft }
    const gathered = await gatherStretch(source, settings, stretch)
    const wanted = {
      ...{ channelSpacingHz: 6250, carrierHz: 0, twoTone: true, fmShiftHz: 0 },
      ...{ insight: null, phaseNoiseDbcPerHz: -100 },
    }
    expect(concludeAnalysis([gathered], source, wanted)).toMatchObject({
      ...{ carrierHz: null, occupied: null, adjacent: null, deviation: null, twoTone: null },
      without: ['There is no signal in it: every sample is nought.'],
    })
  })

  it('a log over midnight runs on, and one whose clock goes back is refused at its line', () => {
    const log = parseLogCsv('23:59:50;5 W\n00:00:10;4 W\n00:01:00;4 W', 'l.csv', { bareUnit: 'W' })
    expect(log.rows.map(({ atS }) => atS)).toEqual([0, 20, 70])
    expect(log.understood.join(' ')).toContain('midnight')
    const back = '0:10;5 W\n0:20;4 W\n0:05;4 W'
    expect(() => parseLogCsv(back, 'l.csv', { bareUnit: 'W' })).toThrowError(
      expect.objectContaining({
        message: expect.stringMatching(/goes back/),
        facts: expect.objectContaining({ row: 3 }),
      }),
    )
  })

  it.each([
    ['1e400 Hz', null],
    ['2 GHz', null],
    ['0', null],
    ['1 GHz', 1e9],
    ['30 kHz', 30e3],
  ])('a trace headed with a resolution bandwidth of %s', (rbw, wanted) => {
    const rows = Array.from({ length: 20 }, (_unused, i) => `${100 + i},-80`).join('\n')
    const found = parseTraceCsv(`# RBW: ${rbw}\nFrequency (MHz),Level (dBm)\n${rows}`, 't.csv')
    expect(found.resolutionBandwidthHz).toBe(wanted)
  })

  it.each([
    ['a rulebook', readRulebookFile],
    ['a review', readReviewFile],
  ])('%s nested a thousand deep is refused before it is parsed', (_what, read) => {
    const deep = `{"format":"x","a":${'['.repeat(1000)}${']'.repeat(1000)}}`
    expect(() => read(deep, 'deep.json')).toThrowError(/nested more than \d+ deep/)
    // Brackets in words are words.
    expect(() => read(`{"format":"x","a":"${'['.repeat(1000)}\\"["}`, 'words.json')).toThrowError(/not a r/)
  })

  it('a match of a hundred thousand blanks is refused, not looked through', () => {
    expect(parseReflection(`1${' '.repeat(100_000)}:`)).toMatchObject({ ok: false })
    expect(parseReflection('1,5 : 1')).toMatchObject({ ok: true, vswr: 1.5 })
  })
})
