// The share of what a radio hears in `npm run bench`: how many readings the coach needs until the curve’s own part
// is ±0.5 dB, beside bisection and beside fixed 1 dB steps at the same receivers in the same run; and what
// listening costs of one core.
import { coach, criterionLevel, type CurvePoint, possibleCurves } from '../../core/hearing'
import { liveBlocks, portableFft, SINAD_DEFAULTS } from '../../core/signal'
import { gaussian, seededRandom } from '../../core/virtual'

const random = seededRandom(20261126)
const RECEIVERS = 200
const WANTED_DB = 0.5
const MOST = 30

/** Clicks and noise of an FM receiver, written apart from the curve’s family (Rice 1963, from memory). */
function sinadOf(levelDbm: number, floorDbm: number, gain: number): number {
  const ratio = 10 ** ((levelDbm - floorDbm) / 10)
  const noise = 1 / (gain * ratio) + 6 * Math.exp(-1.02 * ratio) + 10 ** -3.4
  return 10 * Math.log10(1 + 1 / noise)
}

type Next = (points: readonly CurvePoint[]) => number

/** Readings until the curve’s part is small enough, as the product judges it. */
function readingsUntil(next: Next, read: (levelDbm: number) => number): number {
  const points: CurvePoint[] = []
  while (points.length < MOST) {
    const levelDbm = next(points)
    points.push({ levelDbm, sinadDb: read(levelDbm), scatterDb: 0.4 })
    const found = criterionLevel(points, possibleCurves(points), 12)
    if (found.kind === 'level' && (found.highDbm - found.lowDbm) / 2 <= WANTED_DB) return points.length
  }
  return MOST
}

/** Readings of plain halving, without a curve, until what is above and below lie 1 dB apart. */
function readingsOfPlainHalving(read: (levelDbm: number) => number): number {
  let [low, high, count] = [-130, -100, 0]
  while (high - low > 2 * WANTED_DB) {
    const middleDbm = (low + high) / 2
    count++
    if (read(middleDbm) > 12) high = middleDbm
    else low = middleDbm
  }
  return count
}

const coached: Next = points => {
  const advice = coach({
    points,
    criterionDb: 12,
    range: { lowestDbm: -140, highestDbm: -20, stepDb: 0.1 },
    expectedDbm: -119,
    othersDb: 0,
  })
  return advice.kind === 'read' ? advice.levelDbm : points.at(-1)!.levelDbm
}

/** Halving the distance between what is above and what is below, from −130 and −100 dBm. */
const halving: Next = points => {
  const above = points.filter(({ sinadDb }) => sinadDb > 12).map(({ levelDbm }) => levelDbm)
  const below = points.filter(({ sinadDb }) => sinadDb <= 12).map(({ levelDbm }) => levelDbm)
  return (Math.min(-100, ...above) + Math.max(-130, ...below)) / 2
}

/** Down from −109 dBm in steps of 1 dB, as by hand. */
const stepping: Next = points => -109 - points.length

const middle = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1]!
const counts = {
  coached: [] as number[],
  halving: [] as number[],
  plain: [] as number[],
  stepping: [] as number[],
}
for (let i = 0; i < RECEIVERS; i++) {
  const floorDbm = -130 + 8 * random()
  const gain = 3 + 12 * random()
  const read = (levelDbm: number) => sinadOf(levelDbm, floorDbm, gain) + 0.4 * gaussian(random)
  counts.coached.push(readingsUntil(coached, read))
  counts.halving.push(readingsUntil(halving, read))
  counts.plain.push(readingsOfPlainHalving(read))
  counts.stepping.push(readingsUntil(stepping, read))
}
const line = (what: string, values: number[]) =>
  console.log(
    `${what.padEnd(58)} ${String(middle(values)).padStart(8)} readings (median of ${RECEIVERS} receivers)`,
  )
line('12 dB SINAD to ±0.5 dB of the curve: the coach', counts.coached)
line('   the same curve, by halving from −130 and −100 dBm', counts.halving)
line('   plain halving without a curve, to 1 dB apart', counts.plain)
line('   the same curve, in fixed steps of 1 dB from −109 dBm down', counts.stepping)

const RATE = 48_000
const SECONDS = 20
const audio = Float32Array.from(
  { length: RATE * SECONDS },
  (_unused, n) => 0.2 * Math.cos((2 * Math.PI * 1000 * n) / RATE) + 0.05 * gaussian(random),
)
const live = liveBlocks(RATE, SINAD_DEFAULTS, portableFft)
const from = performance.now()
let reports = 0
for (let at = 0; at < audio.length; at += 2048) reports += live.push(audio.subarray(at, at + 2048)).length
const spent = performance.now() - from
live.release()
console.log(
  `${'listening at 48 kHz, five figures a second'.padEnd(58)} ${((100 * spent) / (1000 * SECONDS)).toFixed(1).padStart(8)} % of one core   goal 25 %   (${reports} figures of ${SECONDS} s)`,
)
