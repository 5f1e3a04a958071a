import { proxy, type Remote, wrap } from 'comlink'
import {
  type AnalysisSettings,
  type GatheredStretch,
  lookStretches,
  type LookSums,
  type ReceiverInsight,
  type RecordingAnalysis,
  type SpectrumCurve,
  stretchesOf,
  type Wanted,
} from '#core/signal'
import type { RecordingAnswer, RecordingChoice, RecordingLook, RecordingWorker } from './recording.worker'

const WORKERS = 2

interface Crew {
  workers: Worker[]
  remotes: Remote<RecordingWorker>[]
  broken: Promise<never>
}

let crew: Crew | null = null

/** Two workers, kept warm between recordings. */
function theCrew(): Crew {
  if (crew) return crew
  const workers = Array.from(
    { length: WORKERS },
    () => new Worker(new URL('./recording.worker.ts', import.meta.url), { type: 'module' }),
  )
  const broken = new Promise<never>((_resolve, reject) =>
    workers.forEach(worker =>
      worker.addEventListener('error', () => {
        dismiss()
        reject(
          new Error(
            'The part of the program that reads recordings did not start. Nothing was kept; ' +
              'reload the page and try again.',
          ),
        )
      }),
    ),
  )
  broken.catch(() => {})
  crew = { workers, remotes: workers.map(worker => wrap<RecordingWorker>(worker)), broken }
  return crew
}

/** Stops whatever the workers do; the next request starts new ones. */
export function dismiss(): void {
  crew?.workers.forEach(worker => worker.terminate())
  crew = null
}

async function asked<T>(crew: Crew, answer: Promise<RecordingAnswer<T>>): Promise<T> {
  const found = await Promise.race([answer, crew.broken])
  if (!found.ok) throw new Error(found.message)
  return found.value
}

export function lookAtRecordings(files: readonly File[]): Promise<RecordingLook[]> {
  const now = theCrew()
  return asked(now, now.remotes[0]!.look(files))
}

/** Looks through a recording of I and Q on both workers, each taking one half. */
export async function insightInto(
  files: readonly File[],
  choice: RecordingChoice,
  { sampleCount, channelHalfHz }: { sampleCount: number; channelHalfHz: number },
  onProgress: (share: number) => void,
): Promise<ReceiverInsight> {
  const now = theCrew()
  const source = { sampleRateHz: choice.sampleRateHz, centreHz: choice.centreHz, sampleCount }
  const stretches = lookStretches(source, WORKERS).filter(({ from, to }) => to > from)
  const told = sharedProgress(stretches.length, onProgress)
  const looks = await Promise.all(
    stretches.map((stretch, i) =>
      asked<LookSums>(now, now.remotes[i]!.through(files, choice, stretch, told(i))),
    ),
  )
  return asked(now, now.remotes[0]!.insight(looks, source, channelHalfHz))
}

/** The progress of several workers as one. */
function sharedProgress(count: number, onProgress: (share: number) => void) {
  const shares = Array.from({ length: count }, () => 0)
  return (i: number) =>
    proxy((share: number) => {
      shares[i] = share
      onProgress(shares.reduce((sum, one) => sum + one, 0) / count)
    })
}

export function zoomInto(
  files: readonly File[],
  choice: RecordingChoice,
  around: { middleHz: number; widthHz: number; insight: ReceiverInsight | null },
  onProgress: (share: number) => void,
): Promise<SpectrumCurve> {
  const now = theCrew()
  return asked(now, now.remotes[0]!.zoom(files, choice, around, proxy(onProgress)))
}

export function hashOf(file: File): Promise<string> {
  const now = theCrew()
  return asked(now, now.remotes[1]!.hash(file))
}

export function simulatedRecording(wanted: Parameters<RecordingWorker['simulate']>[0]): Promise<ArrayBuffer> {
  return theCrew().remotes[0]!.simulate(wanted)
}

export interface AnalyseInput {
  files: readonly File[]
  choice: RecordingChoice
  sampleCount: number
  settings: AnalysisSettings
  wanted: Wanted
  onProgress: (share: number) => void
}

/** Analyses a recording on both workers, each taking one half, and puts the halves together. */
export async function analyseRecording(input: AnalyseInput): Promise<RecordingAnalysis> {
  const { files, choice, sampleCount, settings, wanted, onProgress } = input
  const now = theCrew()
  const stretches = stretchesOf(sampleCount, { workers: WORKERS, size: settings.size })
  const told = sharedProgress(stretches.length, onProgress)
  const own = { ...settings, columns: Math.ceil(settings.columns / stretches.length) }
  const gathered = await Promise.all(
    stretches.map((stretch, i) =>
      asked<GatheredStretch>(now, now.remotes[i]!.gather(files, choice, { settings: own, stretch }, told(i))),
    ),
  )
  return asked(
    now,
    now.remotes[0]!.conclude(
      gathered,
      { sampleRateHz: choice.sampleRateHz, centreHz: choice.centreHz, sampleCount, layout: choice.use.kind },
      { ...wanted, fmShiftHz: settings.fmShiftHz, insight: settings.insight },
    ),
  )
}
