import { WaveFile } from 'wavefile'
import { describe, expect, it } from 'vitest'
import {
  bytesInMemory,
  decodeSamples,
  isRecordingName,
  openRecordings,
  partOfSource,
  readSigmfMeta,
  readWavHead,
  samplesOf,
  type SigmfMeta,
  tarEntries,
  withAnnotations,
} from '#core/format'

const ascii = (text: string) => Uint8Array.from(text, character => character.charCodeAt(0))
const joined = (...parts: Uint8Array[]) => Uint8Array.from(parts.flatMap(part => [...part]))
const u32 = (value: number) => new Uint8Array(Uint32Array.of(value).buffer)
const chunk = (name: string, body: Uint8Array, length = body.length) =>
  joined(ascii(name), u32(length), body, new Uint8Array(body.length % 2))
const fmt = (of: { code?: number; channels?: number; rate?: number; bits?: number }) => {
  const { code = 1, channels = 2, rate = 48_000, bits = 16 } = of
  return chunk(
    'fmt ',
    new Uint8Array(
      Uint16Array.of(code, channels, rate & 0xffff, rate >> 16, 0, 0, (channels * bits) / 8, bits).buffer,
    ),
  )
}
const riff = (...chunks: Uint8Array[]) =>
  joined(ascii('RIFF'), u32(4 + chunks.reduce((sum, one) => sum + one.length, 0)), ascii('WAVE'), ...chunks)
const sixteen = (...values: number[]) => new Uint8Array(Int16Array.from(values).buffer)
const open = async (name: string, bytes: Uint8Array) =>
  (await openRecordings([bytesInMemory(name, bytes)]))[0]!

const meta = (changes: Partial<SigmfMeta['global']> = {}): SigmfMeta => ({
  global: { 'core:datatype': 'ci16_le', 'core:version': '1.0.0', 'core:sample_rate': 48_000, ...changes },
  captures: [{ 'core:sample_start': 0, 'core:frequency': 146.52e6 }],
  annotations: [],
})
const metaFile = (name: string, of: unknown) => bytesInMemory(`${name}.sigmf-meta`, ascii(JSON.stringify(of)))

/** A ustar header as GNU tar writes it (IEEE Std 1003.1, from memory). */
function tarHeader(name: string, size: number, type = '0'): Uint8Array {
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
const padded = (bytes: Uint8Array) => joined(bytes, new Uint8Array((512 - (bytes.length % 512)) % 512))
const tar = (...files: [string, Uint8Array, string?][]) =>
  joined(
    ...files.flatMap(([name, bytes, type]) => [tarHeader(name, bytes.length, type), padded(bytes)]),
    new Uint8Array(1024),
  )

describe('WAV files against the registry’s own writer', () => {
  const wanted = [0, 0.25, -0.5, 0.75, -0.125, 0.5]
  it.each(['8', '16', '24', '32', '32f', '64'])('%s bits, two channels as I and Q', async depth => {
    const file = new WaveFile()
    const isFloat = depth.endsWith('f') || depth === '64'
    const scale = isFloat ? 1 : 2 ** (Number(depth) - 1)
    const values = (channel: number) =>
      wanted
        .filter((_unused, i) => i % 2 === channel)
        .map(value => (depth === '8' ? Math.round(value * 127.5 + 127.5) : value * scale))
    file.fromScratch(2, 96_000, depth, [values(0), values(1)])
    const recording = await open('a.wav', file.toBuffer())
    expect(recording.sampleCount).toBe(3)
    expect(recording.sampleRateHz).toBe(96_000)
    const samples = await samplesOf(recording, { kind: 'iq' }).read(0, 10)
    wanted.forEach((value, i) => expect(samples[i]).toBeCloseTo(value, depth === '8' ? 1 : 4))
    const audio = await samplesOf(recording, { kind: 'audio', channel: 1 }).read(1, 1)
    expect([...audio].map(value => Math.round(value * 100) / 100)).toEqual([expect.closeTo(wanted[3]!, 1), 0])
  })
})

describe('WAV files as they come', () => {
  it('walks over extra chunks of odd length, before and after the samples', async () => {
    const recording = await open(
      'a.wav',
      riff(
        chunk('bext', ascii('abc')),
        fmt({}),
        chunk('LIST', ascii('odd')),
        chunk('data', sixteen(16384, -16384)),
        chunk('id3 ', ascii('x')),
      ),
    )
    expect([...(await samplesOf(recording, { kind: 'iq' }).read(0, 5))]).toEqual([0.5, -0.5])
    expect(recording.warnings).toEqual([])
  })

  it('says how much of a truncated file is there, and uses it', async () => {
    const recording = await open('a.wav', riff(fmt({ rate: 4 }), chunk('data', sixteen(1, 2, 3, 4), 64)))
    expect(recording.warnings).toEqual([
      'The file was cut short: it promises 4.00 s and holds 0.50 s. What is there is used.',
    ])
    expect(recording.sampleCount).toBe(2)
  })

  it('takes an open length to mean the rest of the file, and a last odd byte as left over', async () => {
    const recording = await open(
      'a.wav',
      riff(fmt({}), joined(ascii('data'), u32(0xffffffff), sixteen(1, 2), Uint8Array.of(7))),
    )
    expect(recording.sampleCount).toBe(1)
    expect(recording.warnings[0]).toContain('last 1 bytes')
  })

  it('reads the long form’s own length', async () => {
    const ds64 = new Uint8Array(BigUint64Array.of(100n, 4n, 1n).buffer)
    const bytes = joined(
      ascii('RF64'),
      u32(0xffffffff),
      ascii('WAVE'),
      chunk('ds64', ds64),
      fmt({}),
      joined(ascii('data'), u32(0xffffffff), sixteen(1, 2, 3, 4)),
    )
    expect((await readWavHead(bytesInMemory('a.wav', bytes))).byteLength).toBe(4)
  })

  it('reads the extensible kind', async () => {
    const body = joined(
      new Uint8Array(Uint16Array.of(0xfffe, 1, 8000, 0, 0, 0, 4, 32, 22, 32, 0, 0).buffer),
      new Uint8Array(Uint16Array.of(3, 0, 0, 0, 0, 0, 0, 0).buffer),
    )
    const recording = await open(
      'a.wav',
      riff(chunk('fmt ', body), chunk('data', new Uint8Array(Float32Array.of(0.25).buffer))),
    )
    expect(recording.mayBeIq).toBe(false)
    expect([...(await samplesOf(recording, { kind: 'audio', channel: 0 }).read(0, 1))]).toEqual([0.25, 0])
  })

  it.each<[string, Uint8Array, string]>([
    ['nothing', new Uint8Array(0), 'it is empty'],
    ['another kind', ascii('not a wave file at all'), 'not a WAV file'],
    ['packed samples', riff(fmt({ code: 85 }), chunk('data', sixteen(1))), 'packed in a way not known'],
    ['12 bits', riff(fmt({ bits: 12 }), chunk('data', sixteen(1))), '12 bits'],
    ['no rate', riff(fmt({ rate: 0 }), chunk('data', sixteen(1))), '0 samples a second'],
    ['no samples', riff(fmt({})), 'no samples'],
    ['samples first', riff(chunk('data', sixteen(1))), 'before the chunk'],
    ['cut in the head', riff(chunk('fmt ', ascii('ab'))), 'cut short'],
    ['cut before it', riff(), 'cut short'],
    ['less than a sample', riff(fmt({}), chunk('data', ascii('a'))), 'not one whole sample'],
  ])('refuses %s in plain words', async (_what, bytes, words) => {
    await expect(open('a.wav', bytes)).rejects.toThrow(words)
  })
})

describe('SigMF', () => {
  const data = bytesInMemory('a.sigmf-data', sixteen(16384, 0, 0, -16384))

  it('opens metadata with its samples, whatever the order they are dropped in', async () => {
    const [recording] = await openRecordings([data, metaFile('a', meta())])
    expect(recording).toMatchObject({
      sampleCount: 2,
      centreHz: 146.52e6,
      sampleRateHz: 48_000,
      mayBeIq: true,
    })
    expect([...(await samplesOf(recording!, { kind: 'iq' }).read(1, 5))]).toEqual([0, -0.5])
    expect((await samplesOf(recording!, { kind: 'iq' }).read(5, 5)).length).toBe(0)
    expect(samplesOf(recording!, { kind: 'iq' }, { sampleRateHz: 96_000, centreHz: null })).toMatchObject({
      sampleRateHz: 96_000,
      centreHz: null,
    })
  })

  it.each<[string, string, number[]]>([
    ['cf32_le', 'f32', [0.5, -0.25]],
    ['cf32_be', 'f32', [0.5, -0.25]],
    ['cf64_le', 'f64', [0.5, -0.25]],
    ['ci8', 'i8', [0.5, -0.25]],
    ['ci16_be', 'i16', [0.5, -0.25]],
    ['ci32_le', 'i32', [0.5, -0.25]],
    ['cu16_le', 'u16', [0.5, -0.25]],
    ['cu32_be', 'u32', [0.5, -0.25]],
    ['cu8', 'u8', [0.5, -0.25]],
  ])('reads %s', async (datatype, kind, wanted) => {
    const view = new DataView(new ArrayBuffer(16))
    const little = !datatype.endsWith('be')
    const size = Number(kind.slice(1)) / 8
    wanted.forEach((value, i) => {
      if (kind === 'f32') view.setFloat32(i * size, value, little)
      else if (kind === 'f64') view.setFloat64(i * size, value, little)
      else if (kind === 'u8') view.setUint8(i, Math.round(value * 127.5 + 127.5))
      else if (kind === 'i8') view.setInt8(i, value * 128)
      else if (kind.endsWith('16'))
        view.setUint16(i * size, (value + (kind.startsWith('u') ? 1 : 0)) * 32768, little)
      else view.setUint32(i * size, (value + (kind.startsWith('u') ? 1 : 0)) * 2 ** 31, little)
    })
    const [recording] = await openRecordings([
      metaFile('b', meta({ 'core:datatype': datatype })),
      bytesInMemory('b.sigmf-data', new Uint8Array(view.buffer, 0, 2 * size)),
    ])
    const samples = await samplesOf(recording!, { kind: 'iq' }).read(0, 1)
    wanted.forEach((value, i) => expect(samples[i]).toBeCloseTo(value, kind === 'u8' ? 1 : 5))
  })

  it('opens an archive, folders and long names and all', async () => {
    const long = `recordings/${'x'.repeat(120)}`
    const archive = tar(
      ['recordings/', new Uint8Array(0), '5'],
      ['././@LongLink', ascii(`${long}.sigmf-meta\0`), 'L'],
      ['cut', ascii(JSON.stringify(meta()))],
      ['pax', ascii(`${long.length + 22} path=${long}.sigmf-data\n`), 'x'],
      ['cut', sixteen(16384, 0, 0, -16384)],
    )
    const recording = await open('all.sigmf', archive)
    expect(recording.sampleCount).toBe(2)
    expect([...(await samplesOf(recording, { kind: 'iq' }).read(0, 1))]).toEqual([0.5, 0])
    expect(
      (await tarEntries(bytesInMemory('all.sigmf', archive))).map(({ byteLength }) => byteLength),
    ).toEqual([ascii(JSON.stringify(meta())).length, 8])
  })

  it('uses what is there of an archive that was cut short', async () => {
    const whole = tar(['a.sigmf-meta', ascii(JSON.stringify(meta()))], ['a.sigmf-data', new Uint8Array(4000)])
    const recording = await open('a.sigmf', whole.subarray(0, 512 + 512 + 512 + 1000))
    expect(recording.sampleCount).toBe(250)
    expect(recording.warnings[0]).toContain('cut short')
  })

  it.each<[string, () => Promise<unknown>, string]>([
    ['metadata alone', () => openRecordings([metaFile('a', meta())]), 'drop “a.sigmf-data” together'],
    ['samples alone', () => openRecordings([data]), 'drop “a.sigmf-meta” together'],
    [
      'no sample rate',
      () =>
        openRecordings([
          metaFile('a', { ...meta(), global: { 'core:datatype': 'cf32_le', 'core:version': '1.0.0' } }),
          data,
        ]),
      'how fast it was sampled',
    ],
    [
      'broken JSON',
      () => openRecordings([bytesInMemory('a.sigmf-meta', ascii('{"global":')), data]),
      'not JSON',
    ],
    [
      'no archive',
      () => openRecordings([bytesInMemory('a.sigmf', new Uint8Array(600).fill(65))]),
      'not a tar archive',
    ],
    [
      'an archive without metadata',
      () => openRecordings([bytesInMemory('a.sigmf', tar(['readme', ascii('x')]))]),
      'no SigMF metadata',
    ],
    [
      'an archive without samples',
      () => openRecordings([bytesInMemory('a.sigmf', tar(['a.sigmf-meta', ascii(JSON.stringify(meta()))]))]),
      'missing in the archive',
    ],
  ])('refuses %s in plain words', async (_what, run, words) => {
    await expect(run()).rejects.toThrow(words)
  })

  it('takes each capture as a recording of its own, with its own middle', async () => {
    const captures = [
      { 'core:sample_start': 3, 'core:frequency': 446e6 },
      { 'core:sample_start': 0, 'core:frequency': 146e6 },
      { 'core:sample_start': 90 },
    ]
    const found = await openRecordings([
      bytesInMemory('c.sigmf-data', sixteen(1, 2, 3, 4, 5, 6, 16384, 0, -16384, 0)),
      metaFile('c', { ...meta(), captures }),
    ])
    expect(
      found.map(({ name, sampleCount, centreHz, firstSample }) => [name, sampleCount, centreHz, firstSample]),
    ).toEqual([
      ['c.sigmf-data, capture 1 of 3', 3, 146e6, 0],
      ['c.sigmf-data, capture 2 of 3', 2, 446e6, 3],
    ])
    expect([...(await samplesOf(found[1]!, { kind: 'iq' }).read(0, 9))]).toEqual([0.5, 0, -0.5, 0])
    expect(found[0]!.warnings).toEqual([expect.stringContaining('1 of its captures lie after the end')])
    expect(found.every(({ fileName }) => fileName === 'c.sigmf-data')).toBe(true)
    await expect(
      openRecordings([data, metaFile('a', { ...meta(), captures: [{ 'core:sample_start': 2 }] })]),
    ).rejects.toThrow('begins after the end')
    expect((await openRecordings([data, metaFile('a', { ...meta(), captures: [] })]))[0]).toMatchObject({
      sampleCount: 2,
      centreHz: null,
      name: 'a.sigmf-data',
    })
  })

  it('reads any pair of several channels', async () => {
    const [recording] = await openRecordings([data, metaFile('a', meta({ 'core:num_channels': 2 }))])
    expect(recording).toMatchObject({ sampleCount: 1, format: { channels: 4 } })
    expect([
      ...(await samplesOf(recording!, { kind: 'iq' }).read(0, 1)),
      ...(await samplesOf(recording!, { kind: 'iq', pair: 1 }).read(0, 1)),
      ...(await samplesOf(recording!, { kind: 'iq', pair: 9 }).read(0, 1)),
    ]).toEqual([0.5, 0, 0, -0.5, 0, -0.5])
  })

  it('reads a part of it as if it were the whole', async () => {
    const [recording] = await openRecordings([data, metaFile('a', meta({ 'core:sample_rate': 2 }))])
    const part = samplesOf(recording!, { kind: 'iq' }, { fromS: 0.5 })
    expect(part.sampleCount).toBe(1)
    expect([...(await part.read(0, 5))]).toEqual([0, -0.5])
  })

  it('marks what was found, keeps what was there, and stays valid', () => {
    const before = { ...meta(), annotations: [{ 'core:sample_start': 5, 'core:label': 'mine' }] }
    const after = withAnnotations(
      before,
      [{ label: 'carrier', comment: '−12 dB', lowHz: -5000, highHz: 6000 }],
      { firstSample: 0, sampleCount: 1000, centreHz: 146.52e6, generator: 'Rigorous Meter' },
    )
    expect(after.annotations).toEqual([
      {
        'core:sample_start': 0,
        'core:sample_count': 1000,
        'core:freq_lower_edge': 146_515_000,
        'core:freq_upper_edge': 146_526_000,
        'core:label': 'carrier',
        'core:comment': '−12 dB',
        'core:generator': 'Rigorous Meter',
      },
      before.annotations[0],
    ])
    expect(readSigmfMeta(JSON.stringify(after), 'a')).toEqual(after)
    expect(
      withAnnotations(before, [{ label: 'carrier', comment: '', lowHz: 0, highHz: 1 }], {
        firstSample: 700,
        sampleCount: 20,
        centreHz: null,
        generator: '',
      }).annotations[1],
    ).toMatchObject({ 'core:sample_start': 700, 'core:sample_count': 20 })
  })
})

it('tells recordings by their names, and reads parts of a file', async () => {
  expect(['a.WAV', 'a.sigmf', 'a.sigmf-meta', 'a.csv'].map(isRecordingName)).toEqual([
    true,
    true,
    true,
    false,
  ])
  const part = partOfSource(bytesInMemory('all', Uint8Array.of(1, 2, 3, 4)), {
    name: 'part',
    from: 1,
    byteLength: 9,
  })
  expect(part.byteLength).toBe(3)
  expect([...(await part.read(1, 9))]).toEqual([3, 4])
  expect([
    ...decodeSamples(
      Uint8Array.of(0, 128, 255),
      { encoding: 'int', bits: 16, littleEndian: false, channels: 1 },
      { kind: 'audio', channel: 0 },
    ),
  ]).toEqual([128 / 32768, 0])
})
