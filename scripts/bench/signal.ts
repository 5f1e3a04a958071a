// The spectrum’s share of `npm run bench`: our averaged spectrum on two workers against scipy.signal.welch on
// the same file.
import { spawnSync } from 'node:child_process'
import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { addWelchSums, spectrumFrom, stretchesOf, type WelchSums } from '../../core/signal'

const SAMPLES = 2 ** 24
const SIZE = 8192
const [workerPath, root] = process.argv.slice(2) as [string, string]
const path = join(tmpdir(), `rigorous-meter-bench-${process.pid}.cf32`)
const out = `${path}.f64`

const data = new Float32Array(2 * SAMPLES)
let state = 123456789
for (let n = 0; n < data.length; n++) {
  state = (Math.imul(state, 1664525) + 1013904223) >>> 0
  data[n] =
    (state / 2 ** 32 - 0.5) * 1e-3 +
    ((n & 1) === 0 ? Math.cos : Math.sin)(2 * Math.PI * 0.1234 * (n >> 1)) * 0.5
}
writeFileSync(path, data)

async function ours(engine: 'fast' | 'portable'): Promise<{ ms: number; power: Float64Array }> {
  const workers = [0, 1].map(
    () => new Worker(workerPath, { workerData: { path, sampleCount: SAMPLES, root, engine } }),
  )
  const next = (worker: Worker) => new Promise(resolve => worker.once('message', resolve))
  await Promise.all(workers.map(next))
  const cuts = stretchesOf(SAMPLES, { workers: 2, size: SIZE })
  let best: { ms: number; power: Float64Array } = { ms: Infinity, power: new Float64Array(0) }
  for (let round = 0; round < 5; round++) {
    const from = performance.now()
    const sums = await Promise.all(
      workers.map((worker, i) => {
        worker.postMessage({ ...cuts[i]!, size: SIZE })
        return next(worker) as Promise<WelchSums>
      }),
    )
    const spectrum = spectrumFrom(addWelchSums(sums), { sampleRateHz: 1e6, centreHz: null })
    const ms = performance.now() - from
    if (ms < best.ms) best = { ms, power: spectrum.meanPower }
  }
  for (const worker of workers) await worker.terminate()
  return best
}

const fast = await ours('fast')
const portable = await ours('portable')
const python = spawnSync(
  'python3',
  [
    '-c',
    `
import time, numpy as np
from scipy import signal
best = 1e9
for _ in range(5):
    t = time.perf_counter()
    x = np.fromfile(${JSON.stringify(path)}, dtype=np.complex64)
    f, p = signal.welch(x, fs=1.0, window='hann', nperseg=${SIZE}, noverlap=${SIZE / 2}, detrend=False, return_onesided=False, scaling='spectrum')
    best = min(best, time.perf_counter() - t)
np.fft.fftshift(p).astype(np.float64).tofile(${JSON.stringify(out)})
print(best * 1e3)
`,
  ],
  { encoding: 'utf8' },
)
const said = (what: string, ms: number) => console.log(`${what.padEnd(58)} ${ms.toFixed(0).padStart(8)} ms`)
said('spectrum of 2^24 I/Q samples, two workers, SIMD', fast.ms)
said('the same with the portable transform', portable.ms)
if (python.status === 0) {
  const theirs = Number(python.stdout.trim())
  const bytes = readFileSync(out)
  const reference = new Float64Array(bytes.buffer, bytes.byteOffset, SIZE)
  const apart = (power: Float64Array) =>
    power.reduce((worst, one, k) => Math.max(worst, Math.abs(10 * Math.log10(one / reference[k]!))), 0)
  console.log(
    `${''.padEnd(58)} ${(fast.ms / theirs).toFixed(2).padStart(8)} × scipy.signal.welch (${theirs.toFixed(0)} ms), same file; goal 0.50; furthest apart ${apart(fast.power).toExponential(1)} dB (portable ${apart(portable.power).toExponential(1)} dB)`,
  )
  rmSync(out)
} else console.log('scipy.signal.welch is not on this machine (python3-scipy): no ratio.')
rmSync(path)
