import type { Instrument } from '../types'
import { type BenchCheck, check } from './check'

/** Checks of what reads audio. */
export function audioChecks(instrument: Instrument): BenchCheck[] {
  if (instrument.kind !== 'audio-meter') return []
  return [
    instrument.fullScaleV === null
      ? check('volts', 'note', {
          title: `${instrument.name} is not calibrated in volts.`,
          text: 'SINAD needs none. For audio power, feed it a known voltage and say what it is at full scale.',
        })
      : check('volts', 'ok', { title: `${instrument.name} reads ${instrument.fullScaleV} V at full scale.` }),
    check('processing', 'note', {
      title: 'Sound card: echo cancelling, noise reduction and automatic gain off.',
      text: 'The application asks the browser for it, and says what the browser answers.',
    }),
  ]
}
