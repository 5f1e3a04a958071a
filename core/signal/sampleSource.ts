/** Samples that can be read in slices, so that a recording need never be held whole. */
export interface SampleSource {
  sampleRateHz: number
  /** Radio frequency at the middle of the recording, Hz; null where nobody says. */
  centreHz: number | null
  sampleCount: number
  /** `audio`: real samples, given back with a quadrature part of nought. */
  layout: 'iq' | 'audio'
  /** Samples from `from` on as I, Q, I, Q …, full scale ±1; fewer at the end. */
  read: (from: number, count: number) => Promise<Float32Array>
}

/** A source of samples held in memory. */
export function samplesInMemory(
  samples: Float32Array,
  facts: Pick<SampleSource, 'sampleRateHz'> & Partial<Pick<SampleSource, 'centreHz' | 'layout'>>,
): SampleSource {
  return {
    centreHz: null,
    layout: 'iq',
    ...facts,
    sampleCount: samples.length / 2,
    read: (from, count) => Promise.resolve(samples.slice(2 * from, 2 * (from + count))),
  }
}

/** Slice a recording is read in, samples: 8 MB as single-precision I/Q. */
const SLICE_SAMPLES = 2 ** 20

/** Told how far a reading has come; may ask it to stop. */
export interface ReadProgress {
  onProgress?: (share: number) => void
  isCancelled?: () => boolean
}

/** Thrown when a reading was cancelled. */
export class ReadCancelled extends Error {
  constructor() {
    super('The reading was cancelled. Nothing was kept from it.')
    this.name = 'ReadCancelled'
  }
}

/**
 * Reads a stretch of a source slice by slice.
 * @throws ReadCancelled when asked to stop between two slices.
 */
export async function forEachSlice(
  source: SampleSource,
  { from, to, onProgress, isCancelled }: { from: number; to: number } & ReadProgress,
  take: (slice: Float32Array) => void,
): Promise<void> {
  for (let at = from; at < to;) {
    if (isCancelled?.()) throw new ReadCancelled()
    const slice = await source.read(at, Math.min(SLICE_SAMPLES, to - at))
    if (slice.length === 0) return
    take(slice)
    at += slice.length / 2
    onProgress?.((at - from) / (to - from))
  }
}
