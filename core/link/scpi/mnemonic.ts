/**
 * Whether a word of a command is the mnemonic that is meant: its short form (the capitals) or all of it, in any
 * case; nothing between.
 * @param pattern - as standards write it: `MEASure`.
 * @see SCPI-99, volume 1, 6.2.1 (from memory).
 */
export function isMnemonic(word: string, pattern: string): boolean {
  const typed = word.toUpperCase()
  const short = pattern.replace(/[a-z]/g, '')
  return typed === short || typed === pattern.toUpperCase()
}
