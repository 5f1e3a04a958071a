/** Which column of a trace is what. */
export interface TraceColumns {
  frequency: number
  time: number | null
  levels: { index: number; name: string }[]
}

/** How many Hz a unit of frequency has. */
const UNIT_HZ: Record<string, number> = { hz: 1, khz: 1e3, mhz: 1e6, ghz: 1e9 }

/** A time of day, with or without its date. */
export const CLOCK_TIME = /\d{1,2}:\d{2}/
const TIME_HEADER = /^\W*(time|date|timestamp|t|seconds?|s)\b/i
const FREQUENCY_HEADER = /freq|(^|[^a-z])[kmg]?hz\b/i

/** Which column is what: by the header where it says, else frequency first and levels after. */
export function columnsOf(header: readonly string[], numeric: readonly boolean[]): TraceColumns {
  const all = numeric.map((_unused, index) => index)
  const time =
    all.find(index => TIME_HEADER.test(header[index] ?? '') && !FREQUENCY_HEADER.test(header[index] ?? '')) ??
    null
  const free = all.filter(index => index !== time)
  const frequency =
    free.find(
      index => FREQUENCY_HEADER.test(header[index] ?? '') && !/rbw|vbw|span/i.test(header[index] ?? ''),
    ) ?? free[0]!
  return {
    frequency,
    time,
    levels: free
      .filter(index => index !== frequency && numeric[index])
      .map(index => ({ index, name: header[index] || `column ${index + 1}` })),
  }
}

/** Hz in the unit of the frequencies: by the header where it says, else by their size. */
export function frequencyUnitOf(
  header: string | undefined,
  values: Float64Array,
): { factor: number; words: string } {
  const named = /(?:^|[^a-z])([kmg]?hz)(?:$|[^a-z])/i.exec(header ?? '')?.[1]?.toLowerCase()
  if (named)
    return {
      factor: UNIT_HZ[named]!,
      words: `in ${named.replace('hz', 'Hz').replace('m', 'M').replace('g', 'G')} as headed`,
    }
  let largest = 0
  for (let i = 0; i < values.length; i++) if (values[i]! > largest) largest = values[i]!
  if (largest >= 1e6) return { factor: 1, words: 'taken as Hz (the header does not say)' }
  if (largest >= 30_000) return { factor: 1e3, words: 'taken as kHz (the header does not say)' }
  return largest > 13
    ? { factor: 1e6, words: 'taken as MHz (the header does not say)' }
    : { factor: 1e9, words: 'taken as GHz (the header does not say)' }
}

/** The unit of the levels; null for one that is not known here. */
export function levelUnitOf(header: string | undefined): { dbuv: boolean; words: string } | null {
  const name = (header ?? '').toLowerCase().replace(/[µμ]/g, 'u')
  if (/dbm(?!v)/.test(name)) return { dbuv: false, words: 'in dBm as headed' }
  if (/dbuv/.test(name)) return { dbuv: true, words: 'in dBµV as headed, turned into dBm in 50 Ω' }
  if (/dbmv|dbv|dbfs|dbc|\bv\b|\bmw\b|\bw\b|watt|volt/.test(name)) return null
  return { dbuv: false, words: 'taken as dBm (the header does not say)' }
}

/** Widest resolution bandwidth a review keeps, Hz. */
const WIDEST_RBW_HZ = 1e9

/** The resolution bandwidth the lines above the figures name, Hz; one that no analyser has is taken as not said. */
export function resolutionBandwidthIn(lines: readonly string[]): number | null {
  for (const line of lines) {
    const match =
      /(?:\brbw\b|resolution\s*band\s*width)[^\d]{0,16}(\d+(?:[.,]\d+)?(?:e[+-]?\d+)?)\s*([kmg]?hz)?/i.exec(
        line,
      )
    if (!match?.[1]) continue
    const hz = Number(match[1].replace(',', '.')) * (UNIT_HZ[(match[2] ?? 'hz').toLowerCase()] ?? 1)
    return hz > 0 && hz <= WIDEST_RBW_HZ ? hz : null
  }
  return null
}
