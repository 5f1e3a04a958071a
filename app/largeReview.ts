import type { Review } from '#core/review'

/** Reviews up to this many radios and readings are judged, looked through and drawn at once, within a frame or two. */
const SMALL = { sets: 25, readings: 1500 }

export const isSmallReview = ({ sets, readings }: Pick<Review, 'sets' | 'readings'>): boolean =>
  sets.length <= SMALL.sets && readings.length <= SMALL.readings

/** A review file of more than this would keep the page from answering while it is read, bytes. */
export const LARGE_FILE_BYTES = 1_000_000
