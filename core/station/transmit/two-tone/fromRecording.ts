import { MINUS, printDb } from '../../../quantity'
import type { RecordingAnalysis } from '../../../signal'
import { type KeptFigure, seenFigure } from '../../../step'
import type { RecordingUse } from '../../recordingUse'
import { PRODUCT_ORDERS, productSlot } from './plan'

/** Half of the width around the carrier that is shown, Hz. */
const HALF_WIDTH_HZ = 6_000

/** Products of intermodulation from a recording of both tones. */
export const twoToneRecording: RecordingUse = {
  needs: () => ({ deviation: false, twoTone: true, resolutionHz: 8, channelSpacingHz: null }),
  targets: [{ id: 'all', title: 'Everything' }],
  halfWidthHz: () => HALF_WIDTH_HZ,
  curves: ['spectrum'],
  figures: figuresOf,
}

function figuresOf({ twoTone: found, words }: RecordingAnalysis): KeptFigure[] {
  if (!found) return []
  const apartHz = (found.upperHz - found.lowerHz).toFixed(1)
  const method =
    `Tones ${printDb(found.meanToneDb)} of full scale, ${apartHz} Hz apart; ` +
    `the worse of both sides, against the mean of both tones. ${words}`
  const products = PRODUCT_ORDERS.flatMap((order): KeptFigure[] => {
    const worst = found.worst[order]
    if (!worst) return []
    const { belowToneDb, isUpperBound, standardUncertaintyDb } = worst
    return [
      {
        slotId: productSlot(order),
        text: `${isUpperBound ? '≥ ' : ''}${belowToneDb.toFixed(1)} dB`,
        seen: seenFigure({
          value: belowToneDb,
          unit: 'dB',
          isUpperBound,
          standardUncertainty: standardUncertaintyDb,
          method: `${method}${isUpperBound ? ' It lies in the noise: at least this far down.' : ''}`,
        }),
      },
    ]
  })
  return [
    ...products,
    {
      slotId: 'imbalance',
      text: `${found.imbalanceDb.toFixed(2).replace('-', MINUS)} dB`,
      seen: seenFigure({
        value: found.imbalanceDb,
        unit: 'dB',
        standardUncertainty: found.imbalanceUncertaintyDb,
        method,
      }),
    },
  ]
}
