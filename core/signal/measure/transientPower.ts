import { decibels } from '../spectrum/spectrum'
import type { AdjacentChannelPower } from './adjacentChannelPower'
import { type EdgeFrames, highestIn } from './edgeFrames'

/** Highest power that key-downs and releases put into the neighbouring channels, against the carrier’s, dB. */
export interface TransientPower {
  channels: { side: 'lower' | 'upper'; step: 1 | 2; ratioDb: number }[]
}

/**
 * The highest power in each neighbouring channel while the radio comes up and goes down, through the filter the steady
 * power was read through; null where no key-down or release was recorded.
 */
export function transientPower(edges: EdgeFrames, adjacent: AdjacentChannelPower): TransientPower | null {
  const channels = adjacent.channels.flatMap(({ side, step, lowHz, highHz }) => {
    const highest = highestIn(edges, { lowHz, highHz })
    return highest === null ? [] : [{ side, step, ratioDb: decibels(highest) - adjacent.ownPowerDb }]
  })
  return channels.length === 0 ? null : { channels }
}
