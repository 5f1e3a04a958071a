import type { Review } from '../review'
import type { AmbientSignal } from '../virtual'
import type { Hands } from './hands'

/** What one radio of an evening really is, where its seed is not to decide. */
export interface RadioTwist {
  /** Levels of its harmonics beside the carrier, dB, from the second on. */
  harmonicsDbc?: readonly number[]
  /** What it makes less than claimed with a full battery, dB. */
  shortDb?: number
}

/** An evening of practice: a review as somebody left it, and what is true of the bench it stands on. */
export interface PracticeWorld {
  seed: number
  review: Review
  /** What a part loses more than is written down, dB, by part. */
  lossErrorDb: Record<string, number>
  /** What can be read on a thing by who looks at it, by part, instrument or radio. */
  faces: Record<string, string>
  radios: Record<string, RadioTwist>
  generator: { isEmf: boolean; offHz: number; noiseDbcPerHz: number | null }
  /** Where the analyser really ends, Hz; null: where its card says. */
  analyserEndsHz: number | null
  ambient: AmbientSignal[]
  /** What the load bears, W, whatever is written on its card; null: what is written. */
  loadBearsW: number | null
  /** The bench as it is found. */
  hands: Hands
}
