const DAY_S = 86_400

/** The times of a log in s, rising: a clock that falls back by more than half a day has passed midnight. */
export function runningTimes(clockS: readonly number[]): { times: number[]; midnights: number } {
  let midnights = 0
  const times = clockS.map((atS, i) => {
    if (i > 0 && clockS[i - 1]! - atS > DAY_S / 2) midnights += 1
    return atS + midnights * DAY_S
  })
  return { times, midnights }
}

/** A time as a log writes it, s: seconds, `m:ss` or `h:mm:ss`, a date before it passed over; null for none. */
export function clockSeconds(text: string): number | null {
  const plain = text.trim().replace(/^"|"$/g, '').replace(',', '.')
  const clock = /(?:^|\s|T)(?:(\d{1,2}):)?(\d{1,2}):(\d{1,2}(?:\.\d+)?)Z?$/.exec(plain)
  if (clock) return Number(clock[1] ?? 0) * 3600 + Number(clock[2]) * 60 + Number(clock[3])
  return /^\d+(\.\d+)?\s*s?$/.test(plain) ? parseFloat(plain) : null
}
