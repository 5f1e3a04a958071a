import { printDb, printSigned } from '../quantity'
import { budget, contribution } from '../uncertainty'

/** A pad test as it was seen: one product read without and with a further pad in front of the analyser. */
export interface PadTest {
  id: string
  chainId: string
  at: string
  /** Which harmonic was watched: 2, 3, … */
  harmonic: number
  frequencyHz: number
  /** Loss of the further pad, dB, and how well it is known (±). */
  padDb: number
  padHalfWidthDb: number
  withoutDbm: number
  withDbm: number
  /** Weight of the last digit typed, dB. */
  resolutionDb: number
}

/** What a pad test came to. `cannot-tell`: it fell into the noise, or no more than scatter was seen. */
export type PadTestOutcome = 'radio' | 'analyser' | 'both' | 'cannot-tell'

export interface PadTestResult {
  outcome: PadTestOutcome
  /**
   * How much further than the pad it fell, dB: 0 when it is the radio’s, (n − 1)·pad when made in the
   * analyser.
   */
  excessDb: number
  rangeDb: number
  words: string
}

/** How far two readings of the same product a minute apart may differ, ± dB (common practice, no source). */
const REPEATS_WITHIN_DB = 0.7

/**
 * Is what was read the radio’s, or made in the analyser? With P dB more in front a real harmonic falls by P,
 * one made
 * inside by n·P.
 * @param floorDbm - the analyser’s noise, dBm at its connector; a reading within 3 dB of it tells nothing.
 * @see handbook, section 4: 10 dB more (2nd) or 20 dB more (3rd).
 */
export function judgePadTest(test: PadTest, floorDbm: number): PadTestResult {
  const excessDb = test.withoutDbm - test.withDbm - test.padDb
  const { range: rangeDb } = budget([
    contribution({
      id: 'pad',
      group: 'part',
      label: 'The further pad',
      distribution: 'rectangular',
      halfWidth: test.padHalfWidthDb,
    }),
    contribution({
      id: 'digit-1',
      group: 'resolution',
      label: 'Last digit',
      distribution: 'rectangular',
      halfWidth: test.resolutionDb / 2,
    }),
    contribution({
      id: 'digit-2',
      group: 'resolution',
      label: 'Last digit',
      distribution: 'rectangular',
      halfWidth: test.resolutionDb / 2,
    }),
    contribution({
      id: 'repeat',
      group: 'repeats',
      label: 'Two readings',
      distribution: 'rectangular',
      halfWidth: REPEATS_WITHIN_DB,
    }),
  ])
  const insideDb = (test.harmonic - 1) * test.padDb
  const result = (outcome: PadTestOutcome, words: string): PadTestResult => ({
    outcome,
    excessDb,
    rangeDb,
    words,
  })
  if (test.withDbm < floorDbm + 3)
    return excessDb > rangeDb
      ? result(
          'cannot-tell',
          'With the further pad it fell into the noise. Use a smaller pad, or a narrower resolution bandwidth.',
        )
      : result('cannot-tell', 'It stands in the noise with and without the pad; nothing can be told.')
  if (Math.abs(excessDb) <= rangeDb)
    return result(
      'radio',
      `It fell by the pad (${printSigned(excessDb)} dB beside it): it is the radio’s own.`,
    )
  if (excessDb >= insideDb - rangeDb)
    return result(
      'analyser',
      `It fell by ${printDb(excessDb)} more than the pad: it is made in the analyser. Keep the pad in, and read again.`,
    )
  if (excessDb > 0)
    return result(
      'both',
      `It fell by ${printDb(excessDb)} more than the pad: partly made in the analyser. Add padding until it follows the pad.`,
    )
  return result(
    'cannot-tell',
    `It fell by ${printDb(-excessDb)} less than the pad, which nothing explains: is the pad what it says, was the radio at the same power?`,
  )
}
