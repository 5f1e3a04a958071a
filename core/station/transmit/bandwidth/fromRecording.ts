import { spacingOf } from '../../../band'
import { printHz, printSigned } from '../../../quantity'
import type { ChannelPower, RecordingAnalysis } from '../../../signal'
import { type KeptFigure, seenFigure } from '../../../step'
import type { RecordingUse } from '../../recordingUse'
import { OCCUPIED_SLOT, TRANSIENT_SLOT } from './plan'

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
  figures: analysis => [
    ...occupiedFigure(analysis),
    ...adjacentFigures(analysis),
    ...transientFigure(analysis),
  ],
}

function occupiedFigure({ occupied, words }: RecordingAnalysis): KeptFigure[] {
  if (!occupied) return []
  const { bandwidthHz, isUpperBound, standardUncertaintyHz, withinHz } = occupied
  const doubt = isUpperBound ? ' Noise or clipping holds so much of it that this is only an upper bound.' : ''
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

/** What fills a channel that is not the radio’s, each with what helps. */
const FILLED_WORDS: Readonly<Record<NonNullable<ChannelPower['filledBy']>, string>> = {
  noise: 'The recording’s own noise fills it: at most this.',
  image:
    'The receiver’s image of the carrier may fill it: at most this. Tune the receiver two channels beside it.',
  'phase-noise':
    'The receiver’s own phase noise may fill it: at most this. A recording of a clean generator would tell.',
  clipping: 'The recording is clipped: at most this. Turn the receiver’s gain down.',
}

function channelWords({ filledBy, noiseTakenOffDb, receiverAddsDb }: ChannelPower): string[] {
  if (filledBy) return [FILLED_WORDS[filledBy]]
  const words: string[] = []
  if (noiseTakenOffDb >= LEAST_WORTH_SAYING_DB)
    words.push(`The recording’s own noise is taken off (${noiseTakenOffDb.toFixed(1)} dB).`)
  if (receiverAddsDb >= LEAST_WORTH_SAYING_DB)
    words.push(
      `Up to ${receiverAddsDb.toFixed(1)} dB of it may be the receiver’s own phase noise and image: ` +
        'a recording of a clean generator would tell.',
    )
  return words
}

const LEAST_WORTH_SAYING_DB = 0.05

/** The worse of both next channels. */
function transientFigure({ transient }: RecordingAnalysis): KeptFigure[] {
  const next = transient?.channels.filter(({ step }) => step === 1).map(({ ratioDb }) => ratioDb) ?? []
  if (next.length === 0) return []
  const worst = Math.max(...next)
  return [
    {
      slotId: TRANSIENT_SLOT,
      text: `${printSigned(worst)} dBc`,
      seen: seenFigure({
        value: worst,
        unit: 'dB',
        // One short frame of a passing signal: how it falls into the frame matters.
        standardUncertainty: TRANSIENT_DOUBT_DB,
        method:
          'The highest frame of 4 ms within 0.1 s of a key-down or a release, in the worse next channel.',
      }),
    },
  ]
}

/** How far the highest short frame hangs on where it begins, dB (common practice, no source). */
const TRANSIENT_DOUBT_DB = 1

function adjacentFigures({ adjacent, words }: RecordingAnalysis): KeptFigure[] {
  if (!adjacent) return []
  return adjacent.channels.map(channel => {
    return {
      slotId: `acp-${channel.side}-${channel.step}`,
      text: `${printSigned(channel.ratioDb)} dBc`,
      seen: seenFigure({
        value: channel.ratioDb,
        unit: 'dB',
        isUpperBound: channel.isUpperBound,
        standardUncertainty: channel.standardUncertaintyDb,
        noiseAdds: channel.receiverAddsDb,
        method: [`Filter ${printHz(adjacent.filterHz, 3)} wide.`, words, ...channelWords(channel)].join(' '),
      }),
    }
  })
}
