import { WaveFile } from 'wavefile'
import { describe, expect, it } from 'vitest'
import { bytesInMemory, readWavHead, samplesOf } from '#core/format'

import { ascii, joined, u32, chunk, fmt, riff, sixteen, open } from '../../support/recordingFiles'

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
