import { describe, expect, it } from 'vitest'
import { newReceiver } from '#core/chain'
import { correctReading } from '#core/step'
import { harmonic, pad, reviewOf, withReadings } from '../../support/bench'

/** A 6 dB pad before an instrument that adds no noise of its own to the sum. */
const review = reviewOf({ instrument: { ...newReceiver('an'), vswr: 1 }, parts: [pad(6)] })

// Common practice, no source: losses in dB add up; a generator’s level is less by them at the socket.
describe('a level is taken to the socket through its chain', () => {
  it.each([
    ['from-radio', '-40', -34],
    ['to-radio', '-100', -106],
    ['to-radio', '-20', -26],
  ] as const)('%s: %s dBm at the instrument is %d dBm at the socket', (signal, text, socketDbm) => {
    const seen = harmonic(1, text)
    const found = correctReading(seen, withReadings(review, [seen]), { signal })
    expect('value' in found ? found.value : found.why).toBeCloseTo(socketDbm, 6)
  })
})
