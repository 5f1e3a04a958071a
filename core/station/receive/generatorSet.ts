import { spacingOf } from '../../band'
import { testDeviationHz } from '../../hearing'
import type { LevelGuard, Step } from '../../step'
import type { GeneratorSet } from '../readAction'

/** Tone of a wanted signal and of an interfering one, Hz (TIA-603, from memory). */
export const WANTED_TONE_HZ = 1000
/** Tone of the signal that disturbs, Hz. */
export const INTERFERER_TONE_HZ = 400

/** A generator as a step wants it: test modulation of its channel, the level within what the step allows. */
export function generatorSet(
  step: Step,
  { role, frequencyHz, levelDbm }: Pick<GeneratorSet, 'role' | 'frequencyHz' | 'levelDbm'>,
  toneHz: number = WANTED_TONE_HZ,
): GeneratorSet {
  return { role, frequencyHz, levelDbm, toneHz, deviationHz: testDeviationHz(spacingOf(step.band)) }
}

/** Ends of what a generator may be turned through, in tenths of a decibel. */
export function turnRange({ lowestDbm, highestDbm }: LevelGuard, stepDb: number) {
  return { lowestDbm, highestDbm, stepDb }
}
