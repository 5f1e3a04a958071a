import type { CurveHead, CurvePoints, RecordedCurve } from '#core/review'
import { partWords, type RecordingAnalysis, spectrumCurve } from '#core/signal'
import type { RecordingUse } from '#core/station'
import type { Kept, KeptFigure, Step } from '#core/step'
import type { Recordings } from './useRecordings'
import type { StationRun } from './useStationRun'

const CURVE_POINTS = 1200

/** What was found in a recording, about to be kept. */
export interface FoundInRecording {
  analysis: RecordingAnalysis
  figures: KeptFigure[]
}

/**
 * Keeps what was found in a recording: its figures with the file’s hash, and its curves for drawing. The
 * recording itself stays where it is.
 */
export function useKeepRecording(run: StationRun, recordings: Recordings, use: RecordingUse) {
  const store = useReviewStore()
  const ui = useUiStore()

  async function keep(found: FoundInRecording): Promise<void> {
    const place = run.step.value
    const taken = recordings.taken.value
    const look = taken && recordings.looks.value[taken.index]
    if (!place || !look) return
    try {
      await keepFrom(found, { place, fileName: look.name, part: partWords(taken) ?? '' })
    } catch (error) {
      ui.sayProblem(error)
    }
    recordings.drop()
  }

  async function keepFrom(
    { analysis, figures }: FoundInRecording,
    { place, fileName, part }: { place: Step; fileName: string; part: string },
  ): Promise<void> {
    const sha256 = await recordings.evidence()
    const curves = use.curves
      .flatMap(kind => pointsOf(kind, analysis, use.halfWidthHz(place)) ?? [])
      .map(one => ({ ...one, id: crypto.randomUUID() }))
    for (const { id, points } of curves) await store.keepCurve(id, points)
    const source = { kind: 'recording' as const, fileName, sha256, curveIds: curves.map(({ id }) => id) }
    const kept = figures.map((figure): Kept => ({
      ...figure,
      seen: { ...figure.seen, method: joined(figure.seen.method, part) },
      source,
    }))
    const words = joined(analysis.words, part)
    const heads = curves.map(({ id, kind, rows }): CurveHead => ({
      id,
      setId: place.set.id,
      stepId: place.id,
      kind,
      fileName,
      words,
      rows,
      at: new Date().toISOString(),
    }))
    const count = `${figures.length} ${figures.length === 1 ? 'figure' : 'figures'}`
    if (run.keep(kept, `${count} from ${fileName}`, review => void review.curves.push(...heads)))
      ui.say(`${count} from “${fileName}” kept. The recording stays where it is; its SHA-256 is on record.`)
  }

  return { keep }
}

function joined(...words: (string | undefined)[]): string {
  return words.filter(Boolean).join(' ')
}

/** A curve ready to be kept. */
interface KeptCurve {
  kind: RecordedCurve
  points: CurvePoints
  /** Rows of a picture over time; 0 for a curve. */
  rows: number
}

function pointsOf(kind: RecordedCurve, analysis: RecordingAnalysis, halfWidthHz: number): KeptCurve | null {
  switch (kind) {
    case 'deviation':
      return deviationCurve(analysis)
    case 'time-frequency':
      return pictureCurve(analysis)
    case 'spectrum':
      return thinSpectrum(analysis, halfWidthHz)
  }
}

/** Highest and lowest swing around the mean frequency. */
function deviationCurve({ curve, deviation }: RecordingAnalysis): KeptCurve | null {
  if (!curve || !deviation) return null
  const middle = curve.meanHz.filter(Number.isFinite)
  const mean = middle.length > 0 ? middle.reduce((a, b) => a + b, 0) / middle.length : 0
  return {
    kind: 'deviation',
    rows: 0,
    points: {
      x: curve.atS,
      y: curve.highestHz.map(hz => hz - mean),
      y2: curve.lowestHz.map(hz => hz - mean),
    },
  }
}

function pictureCurve({ picture, seconds }: RecordingAnalysis): KeptCurve {
  const { columns, rows, levelsDb } = picture
  return {
    kind: 'time-frequency',
    rows,
    points: {
      x: Float64Array.from({ length: columns }, (_unused, i) => ((i + 0.5) * seconds) / columns),
      y: Float64Array.from(levelsDb, Math.round),
      y2: new Float64Array(0),
    },
  }
}

function thinSpectrum(analysis: RecordingAnalysis, withinHz: number): KeptCurve {
  const thin = spectrumCurve(analysis.spectrum, {
    carrierHz: analysis.carrierHz ?? 0,
    withinHz,
    points: CURVE_POINTS,
    referenceDb: analysis.adjacent?.ownPowerDb ?? analysis.peaks[0]?.levelDb ?? 0,
  })
  return {
    kind: 'spectrum',
    rows: 0,
    points: { x: thin.offsetHz, y: thin.meanDb, y2: thin.highestDb },
  }
}
