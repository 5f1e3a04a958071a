import { describe, expect, it } from 'vitest'
import { partOfSamples, partRange, partWords, samplesInMemory, samplesOfPart } from '#core/signal'

const ten = samplesInMemory(
  Float32Array.from({ length: 20 }, (_unused, i) => i),
  { sampleRateHz: 2 },
)

describe('part of a recording', () => {
  it.each<[number | null, number | null, number, number]>([
    [null, null, 0, 10],
    [1, null, 2, 8],
    [null, 2, 0, 4],
    [1, 2, 2, 2],
    [0, 99, 0, 10],
    [4.5, null, 9, 1],
  ])('from %s s to %s s begins at sample %i and holds %i', (fromS, toS, first, count) => {
    expect(samplesOfPart(ten, { fromS, toS })).toEqual({ first, count })
  })

  it.each<[number | null, number | null]>([
    [5, null],
    [2, 2],
    [3, 1],
    [null, 0],
  ])('from %s s to %s s holds nothing: that is said, with the length', (fromS, toS) => {
    expect(() => samplesOfPart(ten, { fromS, toS })).toThrow('the recording is 5.00 s long')
  })

  it('reads no sample before or after it', async () => {
    const part = partOfSamples(ten, { fromS: 1, toS: 2.5 })
    expect(part.sampleCount).toBe(3)
    expect([...(await part.read(0, 100))]).toEqual([4, 5, 6, 7, 8, 9])
    expect([...(await part.read(2, 100))]).toEqual([8, 9])
  })

  it('is said in words, and the whole is not', () => {
    expect(partWords({ fromS: null, toS: 2 })).toBe('Only from 0 s to 2 s of the recording.')
    expect(partRange({ fromS: 1.5, toS: null })).toBe('from 1.5 s to the end')
    expect(partWords({ fromS: null, toS: null })).toBe('')
  })
})
