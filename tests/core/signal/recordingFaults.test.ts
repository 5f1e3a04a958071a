import { describe, expect, it } from 'vitest'
import { faultWords, type ReceiverInsight, type RecordingFault } from '#core/signal'
import { recordingFaults } from '#core/signal/recordingFaults'
import { plain } from '../../support/results'

const insight: ReceiverInsight = {
  signalHz: 1000,
  correction: { spike: { re: 0, im: 0 }, image: { re: 0, im: 0 } },
  image: { kind: 'below', leftDb: -60 },
  spikeDb: null,
  clippedShare: 0,
  times: { steady: [{ from: 0, to: 96_000 }], edges: [], thresholdPower: 0 },
}
const place = { carrierHz: 1000, reachHz: 300, seconds: 1, sampleRateHz: 96_000 }
const kinds = (change: Partial<ReceiverInsight>, at: Partial<typeof place> = {}) =>
  recordingFaults({ ...insight, ...change }, { ...place, ...at }).map(({ kind }) => kind)

describe('what a receiver did to a recording', () => {
  it('is nothing where nothing was found, or nothing was looked for', () => {
    expect(kinds({})).toEqual([])
    expect(recordingFaults(null, place)).toEqual([])
  })

  it('is said, the worst first', () => {
    expect(
      kinds(
        {
          ...{ clippedShare: 0.01, spikeDb: -40, image: { kind: 'taken-off', seenDb: -35, leftDb: -55 } },
          times: { ...insight.times, steady: [{ from: 48_000, to: 96_000 }] },
        },
        { carrierHz: 299 },
      ),
    ).toEqual(['clipped', 'carrier-at-middle', 'image-taken-off', 'spike-taken-off', 'cut-out'])
    expect(kinds({ image: { kind: 'unknown', leftDb: -30 } })).toEqual(['image-unknown'])
    expect(kinds({}, { carrierHz: 301 })).toEqual([])
    expect(kinds({}, { carrierHz: -299 })).toEqual(['carrier-at-middle'])
    expect(kinds({}, { seconds: 1.009 })).toEqual([])
    expect(kinds({}, { seconds: 1.011 })).toEqual(['cut-out'])
  })

  it.each<[RecordingFault, string]>([
    [{ kind: 'clipped', share: 0.012 }, 'Clipped: 1 % of the samples'],
    [{ kind: 'clipped', share: 0.0012 }, 'Clipped: 0.12 % of the samples'],
    [
      { kind: 'image-taken-off', seenDb: -35, leftDb: -55 },
      '35.0 dB under it, was taken off; 55.0 dB under it',
    ],
    [{ kind: 'image-unknown', assumedDb: -30 }, '30.0 dB under the signal at most (assumed)'],
    [{ kind: 'spike-taken-off', levelDb: -40 }, '−40.0 dB of full scale'],
    [{ kind: 'carrier-at-middle', awayHz: -120 }, '120 Hz from the middle'],
    [{ kind: 'cut-out', seconds: 0.5 }, '0.50 s around key-downs'],
  ])('%o in words', (fault, words) => expect(plain(faultWords(fault))).toContain(words))
})
