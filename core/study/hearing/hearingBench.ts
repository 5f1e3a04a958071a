import {
  ASSUMED_RADIO_VSWR,
  type Chain,
  newChain,
  newLaboratoryGenerator,
  type Part,
  type SignalGenerator,
} from '../../chain'
import { drawPartErrors, levelAtInstrument } from '../../virtual'
import { between, part } from '../benchDraws'

/** A generator and its path whose truth is known. */
export interface TruePath {
  generator: SignalGenerator
  chain: Chain
  /** How much more than it shows arrives at the radio’s socket, dB. */
  throughDb: number
}

/** Frequency the study hears on, Hz. */
export const STUDY_HZ = 154e6

/** How a path is drawn. */
export interface PathDraw {
  id: string
  accuracyDb: number
  stepDb: number
  /** From the radio to the generator; a cable by default. */
  parts?: Part[]
}

/**
 * Draws a generator within its accuracy, a path with its true losses, and phases of every reflection. A path is
 * the same both ways: what the radio would lose on the way to the generator is lost on the way back.
 */
export function drawPath(random: () => number, { id, accuracyDb, stepDb, parts }: PathDraw): TruePath {
  const generator: SignalGenerator = {
    ...newLaboratoryGenerator(id),
    assumed: false,
    vswr: between(random, 1.1, 1.8),
    levelAccuracyDb: accuracyDb,
    resolution: stepDb,
  }
  const cable = part('cable', { lossDb: 0.6, halfWidthDb: between(random, 0.05, 0.3), vswr: 1.1 })
  const chain: Chain = { ...newChain(id, id, generator.id), parts: parts ?? [cable] }
  const truth = {
    levelDbm: 0,
    frequencyHz: STUDY_HZ,
    sourceVswr: ASSUMED_RADIO_VSWR,
    errors: drawPartErrors(chain, generator, STUDY_HZ, random),
  }
  const errorDb = between(random, -accuracyDb, accuracyDb)
  return { generator, chain, throughDb: errorDb + levelAtInstrument(chain, generator, truth, random) }
}
