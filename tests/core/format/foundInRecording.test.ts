import { describe, expect, it } from 'vitest'
import { foundInRecording } from '#core/format'
import { analysis } from '../../support/analysis'

const facts = { referenceDb: -10, carrierComment: 'the carrier' }
const peak = (frequencyHz: number, levelDb: number) => ({ frequencyHz, levelDb }) as never

describe('what is marked in a recording’s metadata', () => {
  it('marks nothing where nothing was found', () => expect(foundInRecording(analysis(), facts)).toEqual([]))

  it('marks the carrier over its occupied bandwidth, both sides of it', () => {
    const occupied = { lowHz: -4000, highHz: 6000 } as never
    expect(foundInRecording(analysis({ carrierHz: 1000, occupied }), facts)).toEqual([
      { label: 'carrier', comment: 'the carrier', lowHz: -4000, highHz: 6000 },
    ])
  })

  it('marks peaks beside the carrier against the reference, and none on it', () => {
    const found = analysis({ carrierHz: 0, peaks: [peak(0, -10), peak(150, -20), peak(5000, -52.3)] })
    // Twice the noise bandwidth of 50 Hz either side of the carrier; a peak counts from twice that on.
    expect(foundInRecording(found, facts).map(({ label, comment }) => [label, comment])).toEqual([
      ['carrier', 'the carrier'],
      ['peak', '−42.3 dBc'],
    ])
  })

  it('marks at most ten peaks', () => {
    const peaks = Array.from({ length: 30 }, (_unused, i) => peak(1000 * (i + 1), -60))
    expect(foundInRecording(analysis({ peaks }), facts)).toHaveLength(10)
  })

  it('marks each neighbouring channel with its ratio and the filter it was read through', () => {
    const channels = [{ side: 'lower', step: 1, ratioDb: -63.4, lowHz: -20_750, highHz: -4250 }]
    const adjacent = { filterHz: 16_000, channels } as never
    const [channel] = foundInRecording(analysis({ adjacent }), facts)
    expect(channel).toMatchObject({ label: 'lower 1', lowHz: -20_750, highHz: -4250 })
    expect(channel!.comment).toMatch(/^−63\.4 dBc in 16\.0\skHz$/)
  })
})
