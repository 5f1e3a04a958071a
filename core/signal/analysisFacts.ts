import { printHz, printMhz, printSigned } from '../quantity'
import type { RecordingAnalysis } from './analyse'
import type { DeviationFound } from './fm/deviationFound'
import { faultWords } from './recordingFaults'

/**
 * What was found in a recording, a sentence each: carrier, deviation, tones, then how it was worked out and
 * what could not be found.
 * @param centreHz - middle of the recording, Hz; null where nobody knows.
 */
export function analysisFacts(found: RecordingAnalysis, centreHz: number | null): string[] {
  return [
    ...carrierFact(found, centreHz),
    ...(found.deviation ? deviationFacts(found.deviation) : []),
    ...transientFacts(found),
    found.words,
    ...found.faults.map(faultWords),
    ...found.without,
  ]
}

function carrierFact({ carrierHz, deviation }: RecordingAnalysis, centreHz: number | null): string[] {
  if (carrierHz === null) return []
  const place =
    centreHz === null
      ? `${printSigned(carrierHz, 1)} Hz from the middle`
      : printMhz(Math.round(10 * (centreHz + carrierHz)) / 10)
  const known = deviation
    ? `, known to ±${printHz(Math.max(0.1, 2 * deviation.carrierUncertaintyHz), 2)} within the recording`
    : ''
  return [`Carrier ${place}${known}.`]
}

/** The worse of both sides at key-down and release. */
function transientFacts({ transient }: RecordingAnalysis): string[] {
  if (!transient) return []
  const worst = ([1, 2] as const).flatMap(step => {
    const own = transient.channels.filter(channel => channel.step === step).map(({ ratioDb }) => ratioDb)
    return own.length === 0 ? [] : [`${printSigned(Math.max(...own))} dBc in the ${ORDINALS[step]} neighbour`]
  })
  return [`At key-down and release up to ${worst.join(', ')} (the highest four thousandths of a second).`]
}

const ORDINALS = { 1: 'next', 2: 'second' } as const

function deviationFacts(deviation: DeviationFound): string[] {
  const { toneHz, subAudible } = deviation
  const facts = [
    `Deviation +${printHz(deviation.plusHz, 4)}, −${printHz(deviation.minusHz, 4)}, ` +
      `half peak to peak ${printHz(deviation.halfPeakToPeakHz, 4)}, rms ${printHz(deviation.rmsHz, 3)}.`,
    deviation.words,
  ]
  if (toneHz)
    facts.push(`Tone ${printHz(toneHz, 5)}, distortion ${(100 * (deviation.distortion ?? 0)).toFixed(1)} %.`)
  if (subAudible) {
    const tone = subAudible.usualHz ?? subAudible.frequencyHz.toFixed(1)
    facts.push(`Tone squelch ${tone} Hz with ${printHz(subAudible.deviationHz, 3)} of deviation.`)
  }
  return facts
}
