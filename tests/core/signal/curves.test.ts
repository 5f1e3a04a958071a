import { describe, expect, it } from 'vitest'
import { portableFft, spectrumCurve, spectrumFrom, TimeFrequency, joinPictures, Welch } from '#core/signal'
import { simulatedLines } from '#core/virtual'

const spectrum = (() => {
  const welch = new Welch({ size: 4096, window: 'blackman-harris' }, portableFft)
  welch.add(
    simulatedLines({
      sampleRateHz: 96_000,
      seconds: 0.5,
      noiseDb: -80,
      lines: [
        { frequencyHz: 10_000, levelDb: -6 },
        { frequencyHz: 12_345, levelDb: -50 },
      ],
    }),
  )
  return spectrumFrom(welch.sums(), { sampleRateHz: 96_000, centreHz: null })
})()

describe('a spectrum thinned for drawing', () => {
  const curve = spectrumCurve(spectrum, { carrierHz: 10_000, withinHz: 5000, points: 60, referenceDb: -6 })

  it('loses no peak, and stands around the carrier', () => {
    expect(curve.offsetHz).toHaveLength(60)
    // A tone between two bins reads up to 0.8 dB low in a drawing.
    expect(Math.abs(Math.max(...curve.meanDb) + 0.4)).toBeLessThan(0.5)
    const near = [...curve.meanDb].filter((_db, i) => Math.abs(curve.offsetHz[i]! - 2345) < 100)
    expect(Math.abs(Math.max(...near) + 44.4)).toBeLessThan(0.6)
  })

  it('keeps the highest beside the mean', () => {
    curve.highestDb.forEach((db, i) => expect(db).toBeGreaterThanOrEqual(curve.meanDb[i]! - 0.5))
  })

  it('is as long as there is something to draw', () => {
    expect(
      spectrumCurve(spectrum, { carrierHz: 10_000, withinHz: 100, points: 600, referenceDb: 0 }).offsetHz
        .length,
    ).toBeLessThan(12)
    expect(
      spectrumCurve(spectrum, { carrierHz: 900_000, withinHz: 100, points: 600, referenceDb: 0 }).offsetHz,
    ).toHaveLength(0)
    const edge = spectrumCurve(spectrum, { carrierHz: 46_000, withinHz: 5000, points: 50, referenceDb: 0 })
    expect(Math.max(...edge.offsetHz)).toBeLessThanOrEqual(2000)
  })
})

describe('a picture over time', () => {
  const frame = (hot: number) => Float32Array.from({ length: 16 }, (_unused, k) => (k === hot ? 1 : 1e-6))

  it('puts the lowest frequency lowest and the moments side by side', () => {
    const picture = new TimeFrequency(2, 8, 4)
    for (const hot of [0, 0, 4, 4]) picture.add(frame(hot))
    const { columns, rows, levelsDb } = picture.picture()
    expect([columns, rows]).toEqual([2, 8])
    // Bin 0 of the transform is the middle of the picture, bin 4 a quarter above it.
    expect(levelsDb[4]).toBe(0)
    expect(levelsDb[8 + 6]).toBe(0)
    expect(levelsDb[0]).toBeCloseTo(-60, 4)
  })

  it('keeps what was there for one frame only', () => {
    const picture = new TimeFrequency(1, 16, 10)
    for (let i = 0; i < 10; i++) picture.add(frame(i === 7 ? 3 : 0))
    expect(picture.picture().levelsDb[8 + 3]).toBe(0)
  })

  it('joins halves, and is as wide as it was filled', () => {
    const half = () => {
      const picture = new TimeFrequency(4, 8, 8)
      for (let i = 0; i < 4; i++) picture.add(frame(0))
      return picture.picture()
    }
    expect(half().columns).toBe(2)
    expect(joinPictures([half(), half()])).toMatchObject({ columns: 4, rows: 8 })
    expect(joinPictures([])).toMatchObject({ columns: 0, rows: 0 })
  })
})
