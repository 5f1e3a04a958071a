import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { openRecordings, samplesOf } from '#core/format'
import { wavOf } from '#core/sound'
import { LOUDNESS_IMPORTS, loudnessMeter } from '~/workers/loudness'

const file = createRequire(import.meta.url).resolve('ebur128-wasm/ebur128_wasm_bg.wasm')
const loudnessOf = loudnessMeter(
  new WebAssembly.Instance(new WebAssembly.Module(readFileSync(file)), LOUDNESS_IMPORTS).exports,
)

const RATE_HZ = 48_000
const tone = (seconds: number, dbfs: number, hz = 997): number[] =>
  Array.from(
    { length: seconds * RATE_HZ },
    (_unused, n) => 10 ** (dbfs / 20) * Math.sin((2 * Math.PI * hz * n) / RATE_HZ),
  )
const loud = (...parts: number[][]) => loudnessOf(Float32Array.from(parts.flat()), RATE_HZ)

describe('loudness of one channel (ITU-R BS.1770-4, from memory)', () => {
  it('a sine of 997 Hz at full scale in one channel reads −3.01', () => {
    expect(loud(tone(3, 0))).toBeCloseTo(-3.01, 1)
    expect(loud(tone(3, -20))).toBeCloseTo(-23.01, 1)
  })

  it('soft stretches do not count: EBU Tech 3341, cases 3 and 4, in one channel (from memory)', () => {
    expect(loud(tone(10, -33), tone(60, -20), tone(10, -33))).toBeCloseTo(-23.0, 1)
    expect(loud(tone(10, -69), tone(10, -33), tone(60, -20), tone(10, -33), tone(10, -69))).toBeCloseTo(
      -23.0,
      1,
    )
  })

  it('nothing under the gate of −70 has a loudness', () => {
    expect(loud(tone(2, -60))).toBeCloseTo(-63, 0)
    expect(loud(tone(2, -75))).toBeNull()
    expect(loud(new Array<number>(RATE_HZ).fill(0))).toBeNull()
  })
})

const soundOf = async (dataUrl: string) => {
  const bytes = Buffer.from(dataUrl.slice(dataUrl.indexOf(',') + 1), 'base64')
  const source = {
    name: 'clip.wav',
    byteLength: bytes.length,
    read: async (from: number, to: number) => new Uint8Array(bytes.subarray(from, to)),
  }
  const [recording] = await openRecordings([source])
  const samples = samplesOf(recording!, { kind: 'audio', channel: 0 })
  const pairs = await samples.read(0, samples.sampleCount)
  return { rateHz: recording!.sampleRateHz, values: Float32Array.from(pairs.filter((_v, i) => i % 2 === 0)) }
}

describe('a clip as it is kept', () => {
  it('is a WAV file of one channel and 16 bit (the head by its published form), and reads back to half a step', async () => {
    const values = Float32Array.from([0, 0.5, -0.5, 1, -1, 1.5, -1.5])
    const { dataUrl, bytes } = wavOf(values, 8000)
    const head = Buffer.from(dataUrl.slice(dataUrl.indexOf(',') + 1), 'base64')
    expect(dataUrl.startsWith('data:audio/wav;base64,')).toBe(true)
    expect(head.length).toBe(bytes)
    expect([head.toString('latin1', 0, 4), head.toString('latin1', 8, 16)]).toEqual(['RIFF', 'WAVEfmt '])
    expect([20, 22, 32, 34].map(at => head.readUInt16LE(at))).toEqual([1, 1, 2, 16])
    const back = await soundOf(dataUrl)
    expect(back.rateHz).toBe(8000)
    back.values.forEach((value, i) =>
      expect(Math.abs(value - Math.max(-1, Math.min(1, values[i]!)))).toBeLessThan(1 / 20_000),
    )
  })

  it('the demo states of its clips what the library says of them', async () => {
    const { review, clips } = demoReview()
    expect(review.clips.length).toBe(3)
    for (const head of review.clips) {
      const { values, rateHz } = await soundOf(clips.get(head.id)!)
      expect(loudnessOf(values, rateHz)).toBeCloseTo(head.loudnessLufs!, 1)
      expect(values.length / rateHz).toBeCloseTo(head.seconds, 2)
    }
  })
})
