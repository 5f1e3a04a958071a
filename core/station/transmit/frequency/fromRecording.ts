import { printMhzFigure } from '../../../quantity'
import type { RecordingAnalysis } from '../../../signal'
import { type KeptFigure, seenFigure } from '../../../step'
import type { RecordedStep, RecordingUse } from '../../recordingUse'

/** Half of the width around the carrier that is shown, Hz. */
const HALF_WIDTH_HZ = 5_000

/** The carrier’s frequency from a recording that says where its middle stands. */
export const frequencyRecording: RecordingUse = {
  needs: () => ({ deviation: true, twoTone: false, resolutionHz: 20, channelSpacingHz: null }),
  targets: [
    { id: 'cold', title: 'Cold, right after switching on' },
    { id: 'warm', title: 'Warm, after ten minutes' },
  ],
  halfWidthHz: () => HALF_WIDTH_HZ,
  curves: ['spectrum'],
  figures: figuresOf,
}

function figuresOf({ deviation: d }: RecordingAnalysis, { target, centreHz }: RecordedStep): KeptFigure[] {
  if (!d || centreHz === null) return []
  const value = centreHz + d.carrierHz
  return [
    {
      slotId: target,
      text: `${(value / 1e6).toFixed(7)} MHz`,
      seen: seenFigure({
        value,
        unit: 'Hz',
        standardUncertainty: d.carrierUncertaintyHz,
        method:
          `Mean frequency over ${d.usedS.toFixed(1)} s of keyed signal, ` +
          `middle of the recording at ${printMhzFigure(centreHz)} MHz.`,
      }),
    },
  ]
}
