import type { Chain, Instrument } from '../chain'
import { kept } from '../derive'
import { printDb, printDbm } from '../quantity'
import type { SeenLevel } from '../review'
import { contribution, type Contribution, CORRECT_BELOW_DB, floorEffect } from '../uncertainty'

/** What the noise was taken for. */
interface WithoutNoise {
  correctionDb: number
  isUpperBound: boolean
  contribution: Contribution | null
}

/** A reading of an instrument behind a chain. */
interface Displayed {
  seen: SeenLevel
  chain: Chain
  instrument: Instrument
  /** What the display would show without an offset typed on the instrument, dBm. */
  displayed: number
  /** What noise leaves open where it is even, by its half-width: few, and shared by many readings. */
  evenNoise: Map<number, Contribution>
}

/** Takes the analyser's noise off a reading, or calls it an upper bound; what was done is added to the notes. */
export function withoutNoise(reading: Displayed, notes: string[]): WithoutNoise {
  const { seen, chain, instrument, displayed, evenNoise } = reading
  if (instrument.kind !== 'spectrum-analyser' || seen.isUpperBound)
    return { correctionDb: 0, isUpperBound: seen.isUpperBound, contribution: null }
  const floorDbm = Math.max(
    instrument.floorDbm,
    seen.traceFloorDbm === null ? -Infinity : seen.traceFloorDbm - chain.offsetOnInstrumentDb,
  )
  const floor = floorEffect({ readingDbm: displayed, floorDbm, floorDoubtDb: instrument.floorDoubtDb })
  if (floor.isUpperBound)
    notes.push(`Within 3 dB of the noise at ${printDbm(floorDbm, 0)}: the true level is at most this.`)
  else if (floor.aboveFloorDb < CORRECT_BELOW_DB)
    notes.push(
      `Stands ${printDb(floor.aboveFloorDb)} above the noise; ${printDb(floor.correctionDb, 2)} of noise taken off.`,
    )
  return {
    correctionDb: floor.correctionDb,
    isUpperBound: floor.isUpperBound,
    contribution: noiseContribution(floor.remainderDb, floor.aboveFloorDb, evenNoise),
  }
}

/** Noise that matters less than this, ± dB, is left out of the budget. */
const SMALLEST_NOISE_DB = 0.003

/** Under this, ± dB, what the noise leaves open is even to 0.01 dB, and is rounded up to a hundredth. */
const EVEN_BELOW_DB = 0.1

function noiseContribution(
  remainderDb: number,
  aboveFloorDb: number,
  known: Map<number, Contribution>,
): Contribution | null {
  if (remainderDb < SMALLEST_NOISE_DB) return null
  if (remainderDb >= EVEN_BELOW_DB)
    return contribution({
      ...NOISE,
      distribution: 'noise-removed',
      halfWidth: remainderDb,
      parameter: aboveFloorDb,
    })
  const halfWidthDb = Math.ceil(100 * remainderDb) / 100
  return kept(known, halfWidthDb, () =>
    contribution({ ...NOISE, distribution: 'rectangular', halfWidth: halfWidthDb }),
  )
}

const NOISE = { id: 'floor', group: 'floor', label: 'Noise floor' } as const
