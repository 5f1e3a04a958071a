import type { Step } from '#core/station'
import { fullDeviationHz } from '#core/station'
import { seededRandom } from '#core/virtual'

const RATE_HZ = 96_000
const SECONDS = 4

/**
 * The receiver’s stand-in: records a simulated radio and hands over a SigMF recording, as a real one would be
 * dropped.
 */
export function useSimulatedReceiver() {
  async function record(step: Step): Promise<File[]> {
    const { simulatedRecording } = await import('~/workers/recordingWorkers')
    const random = seededRandom(
      [...`${step.set.id}${step.id}`].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) >>> 0, 7),
    )
    const centreHz = Math.round(step.channel.frequencyHz / 1000) * 1000 - 10_000
    const offsetHz = step.channel.frequencyHz - centreHz + (random() - 0.5) * 4e-6 * step.channel.frequencyHz
    const deviationHz = fullDeviationHz(step.band) * (0.55 + 0.2 * random())
    const buffer = await simulatedRecording(
      step.band.mode === 'SSB'
        ? {
            kind: 'lines',
            sampleRateHz: 48_000,
            seconds: SECONDS,
            noiseDb: -75,
            lines: [
              [0, -12],
              [1200, -12.2],
              [-1200, -40 + 4 * random()],
              [2400, -41],
              [-2400, -51],
              [3600, -53],
              [-3600, -58],
              [4800, -60],
            ].map(([hz, levelDb]) => ({ frequencyHz: offsetHz + 700 + hz!, levelDb: levelDb! })),
          }
        : {
            kind: 'fm',
            fm: {
              sampleRateHz: RATE_HZ,
              seconds: SECONDS,
              offsetHz,
              levelDb: -8,
              noiseDb: -62,
              quietS: 0.4,
              tones: [
                { frequencyHz: 1000, deviationHz },
                { frequencyHz: 88.5, deviationHz: 0.13 * deviationHz },
              ],
            },
          },
    )
    const name = `simulated-${step.set.id}-${Math.round(step.channel.frequencyHz / 1e3)}`
    const meta = {
      global: {
        'core:datatype': 'cf32_le',
        'core:version': '1.0.0',
        'core:sample_rate': step.band.mode === 'SSB' ? 48_000 : RATE_HZ,
        'core:description': 'Made by the simulated receiver',
      },
      captures: [{ 'core:sample_start': 0, 'core:frequency': centreHz }],
      annotations: [],
    }
    return [new File([JSON.stringify(meta)], `${name}.sigmf-meta`), new File([buffer], `${name}.sigmf-data`)]
  }

  return { record }
}
