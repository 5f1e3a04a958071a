import type { FftEngine } from './fft'
import type { SampleSource } from './sampleSource'
import { spectrumPeaks } from './spectrum/peaks'
import { spectrumFrom, Welch } from './spectrum/welch'

const LOOK_SIZE = 8192
const LOOK_SLICES = 5

/**
 * Where the strongest signal of a recording stands, Hz from its middle, from a few looks into it; null where
 * nothing stands out.
 * @throws CoreError `too-few` for a recording shorter than 64 samples.
 */
export async function strongestSignalHz(source: SampleSource, engine: FftEngine): Promise<number | null> {
  const size = Math.min(LOOK_SIZE, 2 ** Math.floor(Math.log2(Math.max(64, source.sampleCount))))
  const welch = new Welch({ size, window: 'blackman-harris' }, engine)
  try {
    for (let i = 0; i < LOOK_SLICES; i++)
      welch.add(await source.read(Math.floor((i * source.sampleCount) / LOOK_SLICES), 8 * size))
    return spectrumPeaks(spectrumFrom(welch.sums(), source), { most: 1 })[0]?.frequencyHz ?? null
  } finally {
    welch.release()
  }
}
