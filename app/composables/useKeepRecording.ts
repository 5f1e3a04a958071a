import { partWords, type RecordingAnalysis, spectrumCurve } from '#core/signal'
import type { CurveKind, CurvePoints } from '#core/review'
import type { Recordings } from './useRecordings'
import type { FigureInput, StationRun } from './useStationRun'

const CURVE_POINTS = 1200

/**
 * Keeps what was found in a recording: its figures with the file’s hash, and its curves for drawing. The
 * recording itself stays where it is.
 */
export function useKeepRecording(
  run: StationRun,
  recordings: Recordings,
  of: { halfWidthHz: () => number; kinds: readonly CurveKind[] },
) {
  const store = useReviewStore()
  const ui = useUiStore()

  async function keep({
    analysis,
    figures,
  }: {
    analysis: RecordingAnalysis
    figures: FigureInput[]
  }): Promise<void> {
    const place = run.step.value
    const taken = recordings.taken.value
    const look = taken && recordings.looks.value[taken.index]
    if (!place || !look) return
    try {
      const part = partWords(taken)
      const sha256 = await recordings.evidence()
      const curves = of.kinds
        .flatMap(kind => pointsOf(kind, analysis, of.halfWidthHz()) ?? [])
        .map(one => ({ ...one, id: crypto.randomUUID() }))
      for (const { id, points } of curves) await store.keepCurve(id, points)
      const source = {
        kind: 'recording' as const,
        fileName: look.name,
        sha256,
        curveIds: curves.map(({ id }) => id),
      }
      const kept = run.keepAll(
        { figures: figures.map(figure => ({ ...figure, method: joined(figure.method, part), source })) },
        `${figures.length} figures from ${look.name}`,
        review => {
          for (const { id, kind, rows } of curves)
            review.curves.push({
              id,
              setId: place.set.id,
              stepId: place.id,
              kind,
              fileName: look.name,
              words: joined(analysis.words, part),
              rows,
              at: new Date().toISOString(),
            })
        },
      )
      if (kept)
        ui.say(
          `${figures.length} ${figures.length === 1 ? 'figure' : 'figures'} from “${look.name}” kept. The recording stays where it is; its SHA-256 is on record.`,
        )
    } catch (error) {
      ui.sayProblem(error)
    }
    recordings.drop()
  }

  return { keep }
}

function joined(...words: (string | undefined)[]): string {
  return words.filter(Boolean).join(' ')
}

function pointsOf(
  kind: CurveKind,
  analysis: RecordingAnalysis,
  halfWidthHz: number,
): { kind: CurveKind; points: CurvePoints; rows: number } | null {
  const none = new Float64Array(0)
  if (kind === 'deviation') {
    const { curve, deviation } = analysis
    if (!curve || !deviation) return null
    const middle = curve.meanHz.filter(Number.isFinite)
    const mean = middle.length > 0 ? middle.reduce((a, b) => a + b, 0) / middle.length : 0
    return {
      kind,
      rows: 0,
      points: {
        x: curve.atS,
        y: curve.highestHz.map(hz => hz - mean),
        y2: curve.lowestHz.map(hz => hz - mean),
      },
    }
  }
  if (kind === 'time-frequency') {
    const { columns, rows, levelsDb } = analysis.picture
    return {
      kind,
      rows,
      points: {
        x: Float64Array.from({ length: columns }, (_unused, i) => ((i + 0.5) * analysis.seconds) / columns),
        y: Float64Array.from(levelsDb, Math.round),
        y2: none,
      },
    }
  }
  const thin = spectrumCurve(analysis.spectrum, {
    carrierHz: analysis.carrierHz ?? 0,
    withinHz: halfWidthHz,
    points: CURVE_POINTS,
    referenceDb: analysis.adjacent?.ownPowerDb ?? analysis.peaks[0]?.levelDb ?? 0,
  })
  return { kind, rows: 0, points: { x: thin.offsetHz, y: thin.meanDb, y2: thin.highestDb } }
}
