import { chainLossAt, type Chain, type SpectrumAnalyser } from '../chain'
import type { TracePoints } from '../review'

/** A signal on the demo trace, at the radio's socket. */
export interface DemoSignal {
  frequencyHz: number
  levelDbm: number
}

const POINTS = 9601

/**
 * A trace as the analyser would show it: each signal smeared over the resolution bandwidth, on a noise
 * floor. Levels are at the instrument, rounded to 0.1 dB.
 */
export function demoTrace(input: {
  chain: Chain
  analyser: SpectrumAnalyser
  signals: DemoSignal[]
  random: () => number
}): TracePoints {
  const { chain, analyser, signals, random } = input
  const frequenciesHz = new Float64Array(POINTS)
  const levelsDbm = new Float64Array(POINTS)
  const seen = signals.map(signal => {
    const loss = chainLossAt(chain, analyser, signal.frequencyHz)
    return {
      frequencyHz: signal.frequencyHz,
      powerMw: loss.known ? 10 ** ((signal.levelDbm - loss.lossDb) / 10) : 0,
    }
  })
  const floorMw = 10 ** (analyser.floorDbm / 10)
  for (let i = 0; i < POINTS; i++) {
    const frequencyHz = Math.round((analyser.toHz / (POINTS - 1)) * i) || analyser.fromHz
    const noise = floorMw * (-Math.log(1 - random() * 0.999) * 0.35 + 0.65)
    const signal = seen.reduce(
      (sum, one) =>
        sum +
        one.powerMw *
          Math.exp(-(((frequencyHz - one.frequencyHz) / analyser.resolutionBandwidthHz) ** 2) * 2.8),
      0,
    )
    frequenciesHz[i] = frequencyHz
    levelsDbm[i] = Math.round(10 * Math.log10(noise + signal) * 10) / 10
  }
  return { frequenciesHz, levelsDbm }
}
