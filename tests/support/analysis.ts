import type { RecordingAnalysis } from '#core/signal'

const NOTHING = new Float32Array(0)

/** An analysis of a recording in which nothing was found, but for what a test says of it. */
export function analysis(found: Partial<RecordingAnalysis> = {}): RecordingAnalysis {
  return {
    seconds: 1,
    sampleRateHz: 96_000,
    spectrum: { enbwHz: 50, meanPower: NOTHING } as unknown as RecordingAnalysis['spectrum'],
    noiseFloorDb: -90,
    peaks: [],
    carrierHz: null,
    picture: {} as RecordingAnalysis['picture'],
    deviation: null,
    curve: null,
    occupied: null,
    adjacent: null,
    transient: null,
    insight: null,
    faults: [],
    twoTone: null,
    without: [],
    words: '8 frames.',
    ...found,
  }
}
