import { describe, expect, it } from 'vitest'
import {
  bytesInMemory,
  decodeSamples,
  isRecordingName,
  openRecordings,
  partOfSource,
  readSigmfMeta,
  samplesOf,
  tarEntries,
  withAnnotations,
} from '#core/format'

import { ascii, sixteen, open, meta, metaFile, tar } from '../../support/recordingFiles'

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
