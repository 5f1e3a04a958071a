// The share of received audio in `npm run bench`: 60 s at 48 kHz read second by second, as one of the
// application’s workers does it, against the same filter and fit in scipy on the same file.
import { spawnSync } from 'node:child_process'
import { rmSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { fastFft, type FastFftModule, SINAD_DEFAULTS, steppedBlocks } from '../../core/signal'

const [root] = process.argv.slice(2) as [string]
const RATE = 48_000
const SECONDS = 60
const path = join(tmpdir(), `rigorous-meter-bench-${process.pid}.f64`)

let state = 987654321
const even = () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32
const samples = Float64Array.from(
  { length: RATE * SECONDS },
  (_unused, n) =>
    0.3 * Math.cos((2 * Math.PI * 1000.3 * n) / RATE) +
    0.05 * Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even()),
)
writeFileSync(path, samples)

const module = (await import(
  pathToFileURL(createRequire(`${root}/package.json`).resolve('@echogarden/pffft-wasm/simd')).href
)) as { default: () => Promise<FastFftModule> }
const engine = fastFft(await module.default())
let best = Infinity
let sinadDb = NaN
for (let round = 0; round < 7; round++) {
  const from = performance.now()
  const [stretch] = steppedBlocks(samples, RATE, SINAD_DEFAULTS, engine)
  best = Math.min(best, performance.now() - from)
  sinadDb = stretch?.mean?.sinadDb ?? NaN
}
console.log(
  `${'SINAD of 60 s at 48 kHz, second by second'.padEnd(58)} ${best.toFixed(0).padStart(8)} ms   goal 250 ms`,
)

const python = spawnSync(
  'python3',
  [
    '-c',
    `
import time, numpy as np
from scipy import signal, optimize
rate = ${RATE}
n = np.arange(rate) / rate
def model(p): return p[0] * np.cos(2 * np.pi * p[2] * n) + p[1] * np.sin(2 * np.pi * p[2] * n) + p[3]
best = 1e9
for _ in range(3):
    t = time.perf_counter()
    x = np.fromfile(${JSON.stringify(path)})
    s = d = 0
    for block in x.reshape(-1, rate):
        spectrum = np.abs(np.fft.rfft(block * np.hanning(rate)))
        start = np.argmax(spectrum[200:4000]) + 200
        fit = optimize.least_squares(lambda p: model(p) - block, [0.3, 0, start + 0.3, 0], x_scale=[1, 1, 0.1, 1])
        rest = block - model(fit.x)
        f, p = signal.welch(rest, fs=rate, window='blackmanharris', nperseg=8192, noverlap=6144, detrend=False)
        inside = (f >= 300) & (f <= 3000)
        s += (fit.x[0] ** 2 + fit.x[1] ** 2) / 2
        d += p[inside].sum() * (f[1] - f[0])
    best = min(best, time.perf_counter() - t)
print(best * 1e3, 10 * np.log10((s + d) / d))
`,
  ],
  { encoding: 'utf8' },
)
if (python.status === 0) {
  const [theirs, theirDb] = python.stdout.trim().split(' ').map(Number) as [number, number]
  console.log(
    `${''.padEnd(58)} ${(best / theirs).toFixed(2).padStart(8)} × the same filter and fit in scipy (${theirs.toFixed(0)} ms), same file; ${Math.abs(sinadDb - theirDb).toFixed(3)} dB apart`,
  )
} else console.log('scipy is not on this machine (python3-scipy): no ratio.')
rmSync(path)
