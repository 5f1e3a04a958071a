import type { RoleId } from '../../../review'
import type { VirtualRadio } from '../radio'
import type { Plug, RadioDoes } from '../setting'
import type { BenchTruth } from '../truth'

/** What a generator gives out just now; null while it gives nothing. */
export interface GeneratorOutput {
  frequencyHz: number
  /** At its own connector, dBm, with what it is off by. */
  levelDbm: number
  /** What it is modulated with; null: a plain carrier. */
  modulation: { toneHz: number; deviationHz: number } | null
}

/** Where an instrument stands: whatever it may look at, as it truly is. */
export interface InstrumentPlace {
  seed: number
  truth: BenchTruth
  role: RoleId
  radio: () => VirtualRadio
  /** The way to a role as it really stands. */
  plug: (role: RoleId) => Plug | undefined
  does: () => RadioDoes
  /** What a generator at a role gives out. */
  output: (role: RoleId) => GeneratorOutput | null
  /** Tells of damage, once. */
  damage: (words: string) => void
  isDamaged: (name: string) => boolean
}
