import { writeFileSync } from 'node:fs'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { PHYSICAL_DEFAULTS, type PhysicalRow, physicalStudy } from '../../core/study'

const trials = Number(process.argv[2] ?? PHYSICAL_DEFAULTS.trials)
const seed = Number(process.argv[3] ?? PHYSICAL_DEFAULTS.seed)
const LOW = 0.943
const HIGH = 0.957
const WRONG = 0.05

const percent = (share: number) => `${(100 * share).toFixed(1)} %`
const chance = (promise: number) => 3 * Math.sqrt((promise * (1 - promise)) / trials)

const rows = physicalStudy({
  trials,
  seed,
  randomFrom: from => {
    const random = xoroshiro128plus(from)
    return () => (random.next() >>> 0) * 2 ** -32
  },
})

const faults = rows.flatMap(row => [
  ...(row.share < LOW - chance(0.95) ? [`${row.kind}: holds the truth in ${percent(row.share)} only`] : []),
  ...(row.share > HIGH + chance(0.95) && !row.widerIsFair
    ? [`${row.kind}: wider than it need be, ${percent(row.share)}`]
    : []),
  ...(row.wronglyInside > WRONG + chance(WRONG) ? [`${row.kind}: inside too often`] : []),
  ...(row.wronglyOutside > WRONG + chance(WRONG) ? [`${row.kind}: outside too often`] : []),
])

const bounds = ({ twoSided, trials: all }: PhysicalRow) =>
  twoSided === all ? '' : ` (${percent(1 - twoSided / all)} bounds)`
const line = (row: PhysicalRow) =>
  `| ${row.title} | ${row.told} | ${percent(row.share)}${row.widerIsFair ? ', may be wider' : ''} | ` +
  `${percent(row.wronglyInside)} / ${percent(row.wronglyOutside)} | ±${row.meanRangeDb.toFixed(2)}${bounds(row)} |`

const text = `# Does the truth come through when the bench lies?

Written by \`npm run coverage-study -- physical\`: ${trials} radios of each kind, seed ${seed}, each right at its true limit. The benches are built
from physics in \`core/study/physical\`, which imports nothing of the product’s own laws (a lint rule holds that): waves that travel through pads
with every multiple reflection, displays made look by look of a carrier in noise, peak-reading meters that see harmonics, antennas, scales. The
whole product is asked, from the reading to the verdict.

Wanted: the range of the margin holds the truth in 94.3 to 95.7 % (chance adds ±${percent(chance(0.95))}); a radio a hair outside is called inside, and a radio a
hair inside is called outside, in 5 % at most (chance adds ${percent(chance(0.05))}). Where nobody can know, a range may be wider: it then has to allow for all there may be.

| bench | what the product was told | range holds the truth | wrongly inside / outside | mean range, dB |
|---|---|---|---|---|
${rows.map(line).join('\n')}

${faults.length === 0 ? 'All of it is as wanted.' : `**Not as wanted:** ${faults.join('; ')}.`}

## What is only assumed where nobody says

- The radio’s output reflects as VSWR 2 at its carrier and 0.95 beside it; a 10 dB pad of good match right at its socket makes that small.
- A claim that nobody checked: the carrier is anything from it down to 3 dB under it.
- An antenna’s gain is known to ±2 dB. An analyser’s scale is off by up to ±0.2 dB in 10 dB.
- Of a display nobody describes: one look, a mean of 100, a logarithmic average of 10, or the highest of 2 to 100.
- A meter nobody describes feels the peak of the voltage; harmonics nobody has read are 20 dB down at most, the second or the third.
- What is there anyway has changed by ±1 dB at most between the ambient reading and the other.
- A harmonic of an unmodulated carrier is a plain carrier to a filter; any other spur may be one, or noise.
`
writeFileSync('docs/coverage-physical.md', text)
console.log(text)
