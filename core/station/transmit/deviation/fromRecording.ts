import { MINUS, printHz } from '../../../quantity'
import type { RecordingAnalysis } from '../../../signal'
import { type KeptFigure, seenFigure } from '../../../step'
import type { RecordedStep, RecordingUse } from '../../recordingUse'

/** Half of the width around the carrier that is shown, Hz. */
const HALF_WIDTH_HZ = 25_000

/** What extremes leave open where no tone could be fitted, as a share of half the swing. */
const EXTREMES_SHARE = 0.001
const CUT_EXTREMES_SHARE = 0.04

const extremesShare = ({ halfPeakToPeakHz, cutsFromHz }: Deviation) =>
  halfPeakToPeakHz > cutsFromHz ? CUT_EXTREMES_SHARE : EXTREMES_SHARE

/** Deviation from a recording: the larger swing, and the tone squelch where it was found. */
export const deviationRecording: RecordingUse = {
  needs: ({ band }) => ({
    deviation: true,
    twoTone: false,
    resolutionHz: 100,
    channelSpacingHz: band.channelSpacingHz,
  }),
  targets: [
    { id: 'tone', title: '1 kHz at normal level' },
    { id: 'loudest', title: 'The loudest voice or whistle' },
    { id: 'tone-squelch', title: 'The tone squelch alone' },
  ],
  halfWidthHz: () => HALF_WIDTH_HZ,
  curves: ['deviation', 'spectrum'],
  figures: figuresOf,
}

type Deviation = NonNullable<RecordingAnalysis['deviation']>

function figuresOf({ deviation }: RecordingAnalysis, { target }: RecordedStep): KeptFigure[] {
  if (!deviation) return []
  const squelch = toneSquelch(deviation)
  return target === 'tone-squelch' ? squelch : [largerSwing(deviation, target), ...squelch]
}

/** The larger swing counts; what its estimate leaves open hangs on how it was found. */
function largerSwing(d: Deviation, slotId: string): KeptFigure {
  const value = Math.max(d.plusHz, d.minusHz)
  const isByExtremes = d.method === 'extremes'
  const swings =
    `+${printHz(d.plusHz, 4)}, ${MINUS}${printHz(d.minusHz, 4)}, ` +
    `half peak to peak ${printHz(d.halfPeakToPeakHz, 4)}`
  return {
    slotId,
    text: printHz(value, 4),
    seen: seenFigure({
      value,
      unit: 'Hz',
      isUpperBound: d.isUpperBound,
      standardUncertainty: isByExtremes ? extremesShare(d) * d.halfPeakToPeakHz : d.standardUncertaintyHz,
      noiseAdds: d.noiseAddsHz,
      method: `${swings}; the larger counts. ${d.words}`,
    }),
  }
}

function toneSquelch({ subAudible, words }: Deviation): KeptFigure[] {
  if (!subAudible) return []
  const { deviationHz, standardUncertaintyHz, usualHz, frequencyHz } = subAudible
  return [
    {
      slotId: 'tone-squelch',
      text: printHz(deviationHz, 4),
      seen: seenFigure({
        value: deviationHz,
        unit: 'Hz',
        standardUncertainty: standardUncertaintyHz,
        method: `${usualHz ?? frequencyHz.toFixed(1)} Hz, parted from the voice above it. ${words}`,
      }),
    },
  ]
}
