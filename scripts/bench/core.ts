// The core's share of `npm run bench`: each figure as a ratio against a named reference in the same run.
import Papa from 'papaparse'
import { demoReview } from '../../core/demo'
import { findings } from '../../core/findings'
import { parseTraceCsv, thinTrace, tracePeaks } from '../../core/format'
import { stationContext } from '../../core/station'

/** Median of several runs, ms. */
function median(run: () => unknown, times = 9): number {
  const spent = Array.from({ length: times }, () => {
    const from = performance.now()
    run()
    return performance.now() - from
  }).sort((a, b) => a - b)
  return spent[times >> 1]!
}

function line(what: string, ours: number, reference: string, theirs: number): void {
  console.log(`${what.padEnd(58)} ${ours.toFixed(1).padStart(8)} ms   ${(ours / theirs).toFixed(2).padStart(6)} × ${reference} (${theirs.toFixed(1)} ms)`)
}

const csv = `MHz,dBm\n${Array.from({ length: 100_000 }, (_unused, i) => `${((i + 1) * 0.0096).toFixed(4)},${(-95 + ((i * 7919) % 130) / 10).toFixed(1)}`).join('\n')}`
const papa = median(() => Papa.parse(csv, { header: true, dynamicTyping: true }))
line('100 000-row trace: read and checked', median(() => parseTraceCsv(csv, 'bench.csv')), 'papaparse, header and numbers', papa)
const points = parseTraceCsv(csv, 'bench.csv')
line('100 000-row trace: peaks of ten harmonics', median(() => tracePeaks(points, { carrierHz: 90e6, highestHarmonic: 10, resolutionBandwidthHz: 1e5, keepsHighest: false })), 'papaparse, header and numbers', papa)
line('100 000-row trace: thinned for drawing', median(() => thinTrace(points, 1200)), 'papaparse, header and numbers', papa)

const { review } = demoReview()
const readings = [...review.readings, ...review.readings].slice(0, 200)
const full = { ...review, readings }
const copy = median(() => JSON.parse(JSON.stringify(full)), 21)
line(`findings of ${full.sets.length} sets with 200 readings`, median(() => findings(stationContext(full)), 21), 'JSON copy of the same review', copy)
