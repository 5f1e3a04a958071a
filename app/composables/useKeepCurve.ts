import type { CurveKind, CurvePoints, ReadingSource } from '#core/review'
import type { Kept } from '#core/step'
import type { StationRun } from './useStationRun'

/** A curve from a file, and what is read off it. */
export interface CurveFromFile {
  kind: CurveKind
  fileName: string
  /** How it was understood. */
  words: string
  points: CurvePoints
  /** Evidence of the file, hex; empty where nothing stands behind it. */
  sha256?: string
  figures: (source: ReadingSource) => readonly Kept[]
}

/** Keeps a curve from a file at the step in hand, with the figures that come of it, as one change. */
export function useKeepCurve(run: StationRun) {
  const store = useReviewStore()

  async function keepCurve({
    kind,
    fileName,
    words,
    points,
    sha256 = '',
    figures,
  }: CurveFromFile): Promise<boolean> {
    const place = run.step.value
    if (!place) return false
    const id = crypto.randomUUID()
    await store.keepCurve(id, points)
    const kept = figures({ kind: 'recording', fileName, sha256, curveIds: [id] })
    const head = {
      ...{ id, kind, fileName, words, rows: 0 },
      setId: place.set.id,
      stepId: place.id,
      at: new Date().toISOString(),
    }
    return run.keep(kept, `what ${fileName} holds`, review => void review.curves.push(head))
  }

  return { keepCurve }
}
