/** What the link does at most; said once, tested each. */
export const LINK_LIMITS = {
  /** Longest line that is sent, characters. */
  lineCharacters: 4096,
  /** Lines that are sent in one go. */
  linesAtOnce: 20,
  /** Longest line that is answered, bytes; a block is a whole trace and may be longer. */
  answerBytes: 2_000_000,
  blockBytes: 8_000_000,
  /** How long an answer is waited for, ms. */
  usualMs: 5_000,
  longestMs: 60_000,
  /** How long a connection is waited for, ms. */
  connectMs: 3_000,
  /** Connections to instruments at once, and instruments that may be named. */
  connections: 8,
  instruments: 32,
  /** Whoever speaks to an instrument has it until so long after the last word; or, where others wait, at most. */
  leaseMs: 2_000,
  turnMs: 10_000,
  /** How long one waits for somebody else’s turn to end, and how many wait. */
  waitMs: 15_000,
  waiting: 32,
  /** Pages that may speak, and how long one is remembered, ms. */
  tokens: 64,
  tokenMs: 12 * 3600_000,
  bodyBytes: 256_000,
  /** A log: shortest time between readings, and most of them. */
  logEveryMs: 20,
  logCount: 10_000,
}
