/** Most a trace file may weigh, bytes. */
export const MAX_TRACE_BYTES = 25_000_000

/** Most rows a trace may have. */
export const MAX_TRACE_ROWS = 1_000_000

/** Longest line a trace file may have, characters. */
export const MAX_LINE_CHARACTERS = 4_000
