// The core's share of `npm run bench`: each figure as a ratio against a named reference in the same run.
import { createContext } from '../../core/context'
import Papa from 'papaparse'
import { demoReview } from '../../core/demo'
import { findings } from '../../core/findings'
import { parseTraceCsv, thinTrace, tracePeaks } from '../../core/format'
import { contribution, type Distribution, errorDistribution, monteCarlo } from '../../core/uncertainty'
import { judgingTimes, median } from './judging'

function line(what: string, ours: number, reference: string, theirs: number): void {
  console.log(
    `${what.padEnd(58)} ${ours.toFixed(1).padStart(8)} ms   ${(ours / theirs).toFixed(2).padStart(6)} × ${reference} (${theirs.toFixed(1)} ms)`,
  )
}

const csv = `MHz,dBm\n${Array.from({ length: 100_000 }, (_unused, i) => `${((i + 1) * 0.0096).toFixed(4)},${(-95 + ((i * 7919) % 130) / 10).toFixed(1)}`).join('\n')}`
const papa = median(() => Papa.parse(csv, { header: true, dynamicTyping: true }))
line(
  '100 000-row trace: read and checked',
  median(() => parseTraceCsv(csv, 'bench.csv')),
  'papaparse, header and numbers',
  papa,
)
const points = parseTraceCsv(csv, 'bench.csv')
line(
  '100 000-row trace: peaks of ten harmonics',
  median(() =>
    tracePeaks(points, {
      carrierHz: 90e6,
      highestHarmonic: 10,
      resolutionBandwidthHz: 1e5,
      keepsHighest: false,
    }),
  ),
  'papaparse, header and numbers',
  papa,
)
line(
  '100 000-row trace: thinned for drawing',
  median(() => thinTrace(points, 1200)),
  'papaparse, header and numbers',
  papa,
)

const { review } = demoReview()
const readings = [...review.readings, ...review.readings].slice(0, 200)
const full = { ...review, readings }
const copy = median(() => JSON.parse(JSON.stringify(full)), 21)
line(
  `findings of ${full.sets.length} sets with 200 readings`,
  median(() => findings(createContext(full)), 21),
  'JSON copy of the same review',
  copy,
)

const contributionOf = (id: string, distribution: Distribution, halfWidthDb: number) =>
  contribution({ id, group: 'part', label: id, distribution, halfWidth: halfWidthDb })
const sixParts = [
  contributionOf('analyser', 'rectangular', 2),
  contributionOf('pad', 'rectangular', 0.5),
  contributionOf('certificate', 'normal', 0.3),
  contributionOf('mismatch 1', 'u-shaped', 0.25),
  contributionOf('digit', 'rectangular', 0.05),
  contributionOf('mismatch 2', 'u-shaped', 0.1),
]
const million = Float64Array.from(
  { length: 1_000_000 },
  (_unused, i) => (Math.sin(i * 12.9898) * 43758.5453) % 1,
)
line(
  'one million Monte Carlo trials of a six-part budget',
  median(() => monteCarlo(sixParts, { trials: 1_000_000 })),
  'sorting one million numbers',
  median(() => Float64Array.from(million).sort()),
)
line(
  'the same budget by inversion, a thousand times',
  median(() =>
    Array.from({ length: 1000 }, (_unused, i) =>
      errorDistribution([...sixParts.slice(1), contributionOf('analyser', 'rectangular', 2 + i * 1e-6)]),
    ),
  ),
  'one million trials',
  median(() => monteCarlo(sixParts, { trials: 1_000_000 }), 3),
)

const { judged, copyMs } = judgingTimes()
for (const { what, ms } of judged) line(what, ms, 'JSON copy of the same review', copyMs)
