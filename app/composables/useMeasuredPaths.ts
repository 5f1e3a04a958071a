import { type Calibration, type Chain, type Part, standingCalibration } from '#core/chain'
import type { Reading, Through } from '#core/review'

/** Measured paths: kept as a part’s loss, and older readings judged by them only where that is asked. */
export function useMeasuredPaths() {
  const store = useReviewStore()

  /**
   * Keeps a measured path and makes it the part’s loss from now on. Readings taken before stay with the loss
   * they were taken with.
   */
  function keepCalibration(chainId: string, calibration: Calibration): void {
    store.change(`the path of ${calibration.partName} measured`, draft => {
      draft.calibrations.push(calibration)
      const chain = draft.chains.find(({ id }) => id === chainId)
      const part = chain?.parts.find(({ id }) => id === calibration.partId)
      if (!chain || !part) return
      part.calibrationId = calibration.id
      chain.revision += 1
    })
  }

  function wayThrough({ through }: Reading, chain: Chain): Through | undefined {
    return Object.values(through).find(({ chainId }) => chainId === chain.id)
  }

  /** The calibration of a part a reading rests on. */
  function standingIn({ calibrationIds }: Through, part: Part): string | null {
    return standingCalibration(part.id, calibrationIds[part.id] ?? null, store.review?.calibrationSwaps ?? [])
  }

  /** Readings through a chain that rest on another loss of a part than the one that stands now. */
  function readingsOnOther(chain: Chain, part: Part): Reading[] {
    const review = store.review
    if (!review) return []
    return review.readings.filter(reading => {
      const way = wayThrough(reading, chain)
      return way && standingIn(way, part) !== part.calibrationId
    })
  }

  /** Judges them by the loss that stands now, because the reviewer asked. */
  function rejudge(chain: Chain, part: Part): void {
    const review = store.review
    if (!review) return
    const froms = new Set(
      readingsOnOther(chain, part).map(reading => standingIn(wayThrough(reading, chain)!, part)),
    )
    store.change(`readings judged by the loss of ${part.name} as it stands now`, draft => {
      for (const fromId of froms)
        draft.calibrationSwaps.push({
          id: crypto.randomUUID(),
          at: new Date().toISOString(),
          partId: part.id,
          fromId,
          toId: part.calibrationId,
        })
    })
  }

  return { keepCalibration, readingsOnOther, rejudge }
}
