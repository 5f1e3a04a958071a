import type { RecordedCurve } from '../review'
import type { RecordingAnalysis } from '../signal'
import type { KeptFigure, Step } from '../step'

/** What a station wants worked out of a recording. */
export interface RecordingNeeds {
  deviation: boolean
  twoTone: boolean
  /** Resolution bandwidth aimed at, Hz. */
  resolutionHz: number
  channelSpacingHz: number | null
}

/** Which recording it is, and of which step. */
export interface RecordedStep {
  step: Step
  /** One of the station’s targets. */
  target: string
  /** Middle of the recording, Hz; null where nobody knows. */
  centreHz: number | null
}

/** What a station takes from a recording of I/Q. */
export interface RecordingUse {
  needs: (step: Step) => RecordingNeeds
  /** What the recording may stand for; one is chosen. */
  targets: readonly { id: string; title: string }[]
  /** Half of the width around the carrier that is shown and kept, Hz. */
  halfWidthHz: (step: Step) => number
  /** Curves that are kept for drawing. */
  curves: readonly RecordedCurve[]
  /** The figures it holds; empty where nothing for this station was found in it. */
  figures: (analysis: RecordingAnalysis, recorded: RecordedStep) => KeptFigure[]
}
