/** The four adjacent channels: which side, and how many channels away. Their ids are stored in files. */
export const ADJACENT_CHANNELS = [
  { id: 'acp-lower-1', side: -1, step: 1 },
  { id: 'acp-upper-1', side: 1, step: 1 },
  { id: 'acp-lower-2', side: -1, step: 2 },
  { id: 'acp-upper-2', side: 1, step: 2 },
] as const

/** One of the adjacent channels. */
export type AdjacentChannel = (typeof ADJACENT_CHANNELS)[number]

/** Middle of an adjacent channel, Hz. */
export function adjacentHz(
  { side, step }: Pick<AdjacentChannel, 'side' | 'step'>,
  channel: { carrierHz: number; spacingHz: number },
): number {
  return channel.carrierHz + side * step * channel.spacingHz
}
