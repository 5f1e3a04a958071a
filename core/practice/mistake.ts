import type { Context } from '../context'
import type { Hands } from './hands'
import type { PracticeWorld } from './world'

/** What there is to judge by whether a mistake was caught. */
export interface CaughtInput {
  world: PracticeWorld
  context: Context
  hands: Hands
}

/** A mistake of the trade that an evening plants (handbook, section 1). Adding one is a file and a line. */
export interface Mistake {
  id: string
  /** What is wrong, said when the envelope is open. */
  title: string
  /** Bench an evening needs for it. */
  needs: readonly BenchPart[]
  /** Puts it into an evening. */
  plant: (world: PracticeWorld) => void
  /** What in the review or on the bench shows that it was caught; null: nothing does. */
  caughtBy: (input: CaughtInput) => string | null
  /** What would have shown it. */
  reveals: string
  /** Said when asked for help. */
  hint: string
}

/** What an evening’s bench may have. */
export type BenchPart = 'meter' | 'analyser' | 'receiving' | 'two-generators' | 'two-samples'
