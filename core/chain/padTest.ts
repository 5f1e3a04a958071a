import { printDb, printSigned } from '../quantity'
import { budget, contribution, type Contribution } from '../uncertainty'

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

/** What a pad test shows, in words too. */
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
  const rangeDb = rangeOf(test)
  return { excessDb, rangeDb, ...outcomeOf(test, { excessDb, rangeDb, floorDbm }) }
}

/** 95 % range of what the test finds, dB: the pad, the last digit of both readings, and their repeatability. */
function rangeOf({ padHalfWidthDb, resolutionDb }: PadTest): number {
  const even = (id: string, group: Contribution['group'], label: string, halfWidth: number) =>
    contribution({ id, group, label, distribution: 'rectangular', halfWidth })
  return budget([
    even('pad', 'part', 'The further pad', padHalfWidthDb),
    even('digit-1', 'resolution', 'Last digit', resolutionDb / 2),
    even('digit-2', 'resolution', 'Last digit', resolutionDb / 2),
    even('repeat', 'repeats', 'Two readings', REPEATS_WITHIN_DB),
  ]).range
}

function outcomeOf(
  test: PadTest,
  { excessDb, rangeDb, floorDbm }: { excessDb: number; rangeDb: number; floorDbm: number },
): Pick<PadTestResult, 'outcome' | 'words'> {
  const insideDb = (test.harmonic - 1) * test.padDb
  if (test.withDbm < floorDbm + 3)
    return {
      outcome: 'cannot-tell',
      words:
        excessDb > rangeDb
          ? 'With the further pad it fell into the noise. Use a smaller pad, or a narrower resolution bandwidth.'
          : 'It stands in the noise with and without the pad; nothing can be told.',
    }
  if (Math.abs(excessDb) <= rangeDb)
    return {
      outcome: 'radio',
      words: `It fell by the pad (${printSigned(excessDb)} dB beside it): it is the radio’s own.`,
    }
  if (excessDb >= insideDb - rangeDb)
    return {
      outcome: 'analyser',
      words:
        `It fell by ${printDb(excessDb)} more than the pad: it is made in the analyser. ` +
        'Keep the pad in, and read again.',
    }
  if (excessDb > 0)
    return {
      outcome: 'both',
      words:
        `It fell by ${printDb(excessDb)} more than the pad: partly made in the analyser. ` +
        'Add padding until it follows the pad.',
    }
  return {
    outcome: 'cannot-tell',
    words:
      `It fell by ${printDb(-excessDb)} less than the pad, which nothing explains: ` +
      'is the pad what it says, was the radio at the same power?',
  }
}
