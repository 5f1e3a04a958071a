import { phaseNoiseAt, type SignalGenerator } from '../../chain'
import type { Context } from '../../context'
import { noiseCeiling, type NoiseCeiling } from '../../hearing'
import type { LevelReading } from '../../review'
import { correctApplied, correctReading, type Found, isCorrected, type Step } from '../../step'
import { type DifferenceLine, levelDifference } from './levelDifference'
import { GENERATOR, INTERFERER } from './paths'

/** Carrier to noise a narrow FM receiver needs for 12 dB SINAD, dB (receivers.md, section 8). */
const CARRIER_TO_NOISE_DB = 5

/** Finding the criterion again by hand, ± dB of the interferer (assumed; common practice, no source). */
const CRITERION_DB = 1

/** How an interferer is put against the wanted signal. */
export interface RatioCase {
  reading: LevelReading
  offsetHz: number
  spacingHz: number
  /** How far above its 12 dB level the wanted signal stands, dB; what the ratio counts from. */
  aboveDb: number
  countsFrom: 'reference' | 'wanted'
  /** The 12 dB level as it was found; null: taken from the wanted signal. */
  twelve: Found | null
  /** How steeply the receiver's filter falls there, dB per Hz; 0 far away. */
  slopeDbPerHz: number
}

/** A rejection with its ceiling. */
export interface InterfererRatio {
  found: Found
  ceiling: NoiseCeiling & { dbcPerHz: number; assumed: boolean; generator: string }
}

/**
 * Interferer less what it is counted from, at the socket: both pass the same combiner, and what it does to both
 * cancels. With the part of the noise that the interferer itself makes.
 * @returns null where a level cannot be taken to the socket.
 */
export function interfererRatio(step: Step, given: RatioCase, context: Context): InterfererRatio | null {
  const { reading } = given
  const interferer = correctReading(reading, context, { role: INTERFERER, signal: 'to-radio' })
  const wanted = correctApplied(reading, GENERATOR, context)
  const generator = context.instrument(reading.instrumentId)
  if (!isCorrected(interferer) || !wanted || !isCorrected(wanted)) return null
  if (generator?.kind !== 'signal-generator') return null
  const lines = linesOf(step, generator, given)
  const reference = referenceOf(given, wanted)
  const found = levelDifference(interferer, reference, { lines, sameGenerator: false }, context)
  const { dbcPerHz, assumed } = phaseNoiseAt(generator, given.offsetHz)
  const ratioToTwelve = given.countsFrom === 'wanted' ? found.value + given.aboveDb : found.value
  const ceiling = noiseCeiling(dbcPerHz, given.spacingHz, {
    ratioDb: ratioToTwelve,
    aboveDb: given.aboveDb,
    carrierToNoiseDb: CARRIER_TO_NOISE_DB,
  })
  return { found, ceiling: { ...ceiling, dbcPerHz, assumed, generator: generator.name } }
}

/** What the ratio counts from: the 12 dB level, else the wanted signal less what it stands above it. */
function referenceOf({ countsFrom, twelve, aboveDb }: RatioCase, wanted: Found): Found {
  if (countsFrom === 'wanted') return wanted
  return twelve ?? { ...wanted, value: wanted.value - aboveDb }
}

function linesOf(step: Step, generator: SignalGenerator, given: RatioCase): DifferenceLine[] {
  const ppm = generator.referencePpm ?? 2
  const offHz = ppm * 1e-6 * step.channel.frequencyHz
  return [
    {
      id: 'criterion',
      label: 'Finding the criterion again',
      group: 'stepping',
      halfWidth: CRITERION_DB,
      assumed: true,
    },
    {
      id: 'interferer-step',
      label: 'Step of the interferer',
      group: 'stepping',
      halfWidth: generator.resolution / 2,
    },
    {
      id: 'filter-slope',
      label: `Frequency of the interferer, ±${Math.round(offHz)} Hz on the slope of the filter`,
      group: 'reference',
      halfWidth: given.slopeDbPerHz * offHz,
      assumed: true,
    },
  ]
}
