/** Longest clip, s: long enough for a sentence, short enough for a review that travels. */
export const MOST_CLIP_S = 30

/** A clip as it is kept: one channel, 16 bit, and how loud it is. */
export interface PreparedClip {
  dataUrl: string
  bytes: number
  sampleRateHz: number
  seconds: number
  /** How long what it was taken from is, s: more where it was cut. */
  wasS: number
  /** Gated loudness by ITU-R BS.1770, LUFS; null where nothing passes the gate. */
  loudnessLufs: number | null
}
