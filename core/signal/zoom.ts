import { Decimator } from './filter/decimator'
import { type FftEngine } from './fft'
import { correctSamples } from './receiver/correctSamples'
import type { SampleCorrection } from './receiver/receiverFaults'
import { forEachSlice, type ReadProgress, type SampleSource } from './sampleSource'
import type { Spectrum } from './spectrum/spectrum'
import { spectrumFrom, Welch } from './spectrum/welch'
import type { WindowName } from './window'

/** Which part of a recording’s spectrum is looked at closer, and in how many points. */
export interface ZoomSettings {
  /** Middle and width of the part to look at, relative to the middle of the recording, Hz. */
  middleHz: number
  widthHz: number
  size: number
  window: WindowName
  /** What of the receiver is taken off before. */
  correction?: SampleCorrection | null
}

/**
 * A closer look at part of a recording: moved to the middle, filtered, thinned out, then a spectrum of what
 * is left. Right over `widthHz`
 * around the middle; frequencies stay relative to the middle of the recording.
 */
export async function zoomSpectrum(
  source: SampleSource,
  settings: ZoomSettings,
  engine: FftEngine,
  progress: ReadProgress = {},
): Promise<Spectrum> {
  const { middleHz, widthHz, size, window, correction } = settings
  const factor = Math.max(1, Math.floor(source.sampleRateHz / (1.5 * widthHz)))
  const rateHz = source.sampleRateHz / factor
  const passHz = Math.min(widthHz / 2, 0.45 * rateHz)
  const filter = new Decimator({
    sampleRateHz: source.sampleRateHz,
    shiftHz: middleHz,
    passHz,
    stopHz: factor === 1 ? 0.5 * rateHz : rateHz - passHz,
    factor,
  })
  const welch = new Welch({ size, window }, engine)
  await forEachSlice(source, { from: 0, to: source.sampleCount, ...progress }, slice => {
    const { re, im } = filter.add(correction ? correctSamples(slice, correction) : slice)
    const thinned = new Float32Array(2 * re.length)
    for (let n = 0; n < re.length; n++) {
      thinned[2 * n] = re[n]!
      thinned[2 * n + 1] = im[n]!
    }
    welch.add(thinned)
  })
  const spectrum = spectrumFrom(welch.sums(), { sampleRateHz: rateHz, centreHz: source.centreHz })
  welch.release()
  return { ...spectrum, firstHz: spectrum.firstHz + middleHz }
}
