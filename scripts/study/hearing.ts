import { writeFileSync } from 'node:fs'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { keptTransforms, portableFft } from '../../core/signal/fft'
import { type HearingRow, hearingStudy } from '../../core/study'

const benches = Number(process.argv[2] ?? 3000)
const secondsEach = Number(process.argv[3] ?? 30)
const seed = Number(process.argv[4] ?? 20261126)
const LOW = 0.943
const HIGH = 0.957

const percent = (share: number) => `${(100 * share).toFixed(1)} %`
const { engine, release } = keptTransforms(portableFft)
const rows = hearingStudy({
  benches,
  secondsEach,
  seed,
  engine,
  randomFrom: from => {
    const random = xoroshiro128plus(from)
    return () => (random.next() >>> 0) * 2 ** -32
  },
  onProgress: words => console.log(words),
})
release()

const shareWords = ({ share, figure }: HearingRow) =>
  figure === 'bound' ? `${percent(share)} (a bound: at least 95 % promised)` : percent(share)
const isOff = ({ share, figure }: HearingRow) => share < LOW || (figure === 'level' && share > HIGH)

const text = `# Do the stated ranges of what a radio hears hold the truth?

Written by \`npm run coverage-study -- hearing\`: ${benches} simulated benches of each kind, seed ${seed}. The receivers are simulated at I/Q
level (noise, channel filter, limiter, discriminator, de-emphasis; clicks come by themselves), three of them, ${secondsEach} seconds at each level;
a reading of a bench is one of those seconds at the level that really arrives: the generator off by its error, the path with its true losses, every
port reflecting at a phase of its own. The product is used as it is: readings, paths, the curve, budgets.

Wanted: 94.3 % to 95.7 %. With ${benches} benches chance alone moves a share by ±${(300 * Math.sqrt((0.95 * 0.05) / benches)).toFixed(1)} % (three standard deviations).

| station | kind of bench | holds the truth | mean range, dB | benches |
|---|---|---|---|---|
${rows.map(row => `| ${row.stationId} | ${row.title} | ${shareWords(row)} | ±${row.meanRangeDb.toFixed(2)} | ${row.benches}${row.left > 0 ? ` (${row.left} left)` : ''} |`).join('\n')}

${
  rows.some(isOff)
    ? `**Outside what is wanted:** ${rows
        .filter(isOff)
        .map(row => `${row.title} (${percent(row.share)})`)
        .join('; ')}.`
    : 'All shares are where they should be.'
}
`
writeFileSync('docs/coverage-hearing.md', text)
console.log(text)
