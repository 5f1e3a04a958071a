import { describe, expect, it } from 'vitest'
import { keyedTimes } from '#core/signal'

/** Buckets of 5 ms at 48 000 samples a second; power of 1 where keyed. */
const RATE = 48_000
const BUCKET = 240
function times(runs: [seconds: number, power: number][]) {
  const power = Float64Array.from(
    runs.flatMap(([seconds, level]) => Array.from({ length: Math.round(seconds / 0.005) }, () => level)),
  )
  const sampleCount = power.length * BUCKET
  const { steady, edges } = keyedTimes({ power, bucketSamples: BUCKET }, { sampleCount, sampleRateHz: RATE })
  const seconds = ({ from, to }: { from: number; to: number }) => [from / RATE, to / RATE]
  return { steady: steady.map(seconds), edges: edges.map(seconds) }
}

describe('when a recording was keyed', () => {
  it('leaves out a tenth of a second after a key-down and before a release, and reads them apart', () => {
    expect(
      times([
        [1, 1e-6],
        [2, 1],
        [0.5, 1e-6],
      ]),
    ).toEqual({
      steady: [[1.1, 2.9]],
      edges: [
        [0.9, 1.1],
        [2.9, 3.1],
      ],
    })
  })

  it('has no edge where a recording begins or ends keyed', () => {
    expect(times([[2, 1]])).toEqual({ steady: [[0, 2]], edges: [] })
    expect(
      times([
        [1, 1],
        [0.5, 0],
        [1, 1],
      ]).edges,
    ).toEqual([
      [0.9, 1.1],
      [1.4, 1.6],
    ])
  })

  it('takes what is within 6 dB of the strongest for keyed, and not what is under it', () => {
    expect(
      times([
        [1, 0.26],
        [1, 1],
      ]).edges,
    ).toEqual([])
    expect(
      times([
        [1, 0.24],
        [1, 1],
      ]).edges,
    ).toHaveLength(1)
  })

  it('takes a voice on SSB, whose own power comes and goes, as it is', () => {
    // Half a second of voice whose power swings from 0.45 to 1.75, then a pause.
    const syllables = Array.from({ length: 400 }, (_x, k): [number, number] => [
      0.005,
      k % 150 < 110 ? 0.45 + (1.3 * ((k * 7) % 13)) / 12 : 0.001,
    ])
    expect(times(syllables)).toEqual({ steady: [[0, 2]], edges: [] })
  })

  it('does not cut up what is never steady for a tenth of a second, or silent throughout', () => {
    const flutter = Array.from({ length: 20 }, (_x, k): [number, number] => [0.15, k % 2 ? 1 : 0])
    expect(times(flutter)).toEqual({ steady: [[0, 3]], edges: [] })
    expect(times([[1, 0]])).toEqual({ steady: [[0, 1]], edges: [] })
    // 0.3 s are long enough: 0.1 s is left of them; 0.29 s are not.
    expect(
      times([
        [1, 0],
        [0.3, 1],
        [1, 0],
      ]).steady,
    ).toEqual([[1.1, 1.2]])
    expect(
      times([
        [1, 0],
        [0.29, 1],
        [1, 0],
      ]).steady,
    ).toEqual([[0, 2.29]])
  })
})
