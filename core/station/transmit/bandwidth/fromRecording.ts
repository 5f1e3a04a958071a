import { spacingOf } from '../../../band'
import { printHz, printSigned } from '../../../quantity'
import type { RecordingAnalysis } from '../../../signal'
import { type KeptFigure, seenFigure } from '../../../step'
import type { RecordingUse } from '../../recordingUse'
import { OCCUPIED_SLOT } from './plan'

/** Channels to either side that are shown: the second adjacent one and three quarters of the next. */
const SHOWN_CHANNELS = 2.75

/** Occupied bandwidth and adjacent channels from a recording. */
export const bandwidthRecording: RecordingUse = {
  needs: ({ band }) => ({
    deviation: true,
    twoTone: false,
    resolutionHz: 100,
    channelSpacingHz: spacingOf(band),
  }),
  targets: [{ id: 'all', title: 'Everything' }],
  halfWidthHz: ({ band }) => SHOWN_CHANNELS * spacingOf(band),
  curves: ['spectrum', 'time-frequency'],
  figures: analysis => [...occupiedFigure(analysis), ...adjacentFigures(analysis)],
}

function occupiedFigure({ occupied, words }: RecordingAnalysis): KeptFigure[] {
  if (!occupied) return []
  const { bandwidthHz, isUpperBound, standardUncertaintyHz, withinHz } = occupied
  const doubt = isUpperBound ? ' Noise holds so much of it that this is only an upper bound.' : ''
  return [
    {
      slotId: OCCUPIED_SLOT,
      text: printHz(bandwidthHz, 4),
      seen: seenFigure({
        value: bandwidthHz,
        unit: 'Hz',
        isUpperBound,
        standardUncertainty: standardUncertaintyHz,
        method: `99 % of the power within ±${printHz(withinHz, 3)}. ${words}${doubt}`,
      }),
    },
  ]
}

function adjacentFigures({ adjacent, words }: RecordingAnalysis): KeptFigure[] {
  if (!adjacent) return []
  return adjacent.channels.map(channel => {
    const doubt = channel.isUpperBound ? ' The recording’s own noise fills it: at most this.' : ''
    return {
      slotId: `acp-${channel.side}-${channel.step}`,
      text: `${printSigned(channel.ratioDb)} dBc`,
      seen: seenFigure({
        value: channel.ratioDb,
        unit: 'dB',
        isUpperBound: channel.isUpperBound,
        standardUncertainty: channel.standardUncertaintyDb,
        method: `Filter ${printHz(adjacent.filterHz, 3)} wide. ${words}${doubt}`,
      }),
    }
  })
}
