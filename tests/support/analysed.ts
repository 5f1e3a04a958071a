import {
  concludeAnalysis,
  gatherStretch,
  portableFft,
  samplesInMemory,
  sizeFor,
  windowFacts,
} from '#core/signal'

/** Samples read as the application reads a recording, in one stretch. */
export async function analysed(samples: Float32Array, sampleRateHz: number, channelSpacingHz = 12_500) {
  const source = samplesInMemory(samples, { sampleRateHz })
  const window = 'blackman-harris' as const
  const size = sizeFor(sampleRateHz, {
    resolutionHz: 100,
    enbwBins: windowFacts(window).enbwBins,
    sampleCount: source.sampleCount,
  })
  const stretch = await gatherStretch(
    source,
    { size, window, fmShiftHz: 0, channelHalfHz: 15_000, columns: 20, rows: 16 },
    { from: 0, to: source.sampleCount, engine: portableFft },
  )
  return concludeAnalysis([stretch], source, {
    channelSpacingHz,
    carrierHz: null,
    twoTone: false,
    fmShiftHz: 0,
  })
}
