import type { CurvePoints, Review, TracePoints } from '#core/review'
import {
  loadClip,
  loadCurve,
  loadPicture,
  loadTrace,
  saveClip,
  saveCurve,
  savePicture,
  saveTrace,
} from '~/storage'

/** What is stored beside a review: points of traces and curves, pictures and clips. Their heads are in the review. */
export function useReviewRecords(review: Readonly<Ref<Review | null>>) {
  /** Traces that were wanted so far, by id. */
  const traces = shallowRef<ReadonlyMap<string, TracePoints>>(new Map())

  async function keepTrace(traceId: string, points: TracePoints): Promise<void> {
    if (!review.value) return
    traces.value = new Map([...traces.value, [traceId, points]])
    await saveTrace(review.value.id, traceId, points)
  }

  /** Points of a trace, from memory or from the shelf. */
  async function tracePoints(traceId: string): Promise<TracePoints | null> {
    const known = traces.value.get(traceId)
    if (known || !review.value) return known ?? null
    const found = await loadTrace(review.value.id, traceId)
    if (found) traces.value = new Map([...traces.value, [traceId, found]])
    return found
  }

  async function keepCurve(curveId: string, points: CurvePoints): Promise<void> {
    if (review.value) await saveCurve(review.value.id, curveId, points)
  }

  async function curvePoints(curveId: string): Promise<CurvePoints | null> {
    return review.value ? loadCurve(review.value.id, curveId) : null
  }

  async function keepPicture(pictureId: string, dataUrl: string): Promise<void> {
    if (review.value) await savePicture(review.value.id, pictureId, dataUrl)
  }

  async function picture(pictureId: string): Promise<string | null> {
    return review.value ? loadPicture(review.value.id, pictureId) : null
  }

  async function keepClip(clipId: string, dataUrl: string): Promise<void> {
    if (review.value) await saveClip(review.value.id, clipId, dataUrl)
  }

  async function clip(clipId: string): Promise<string | null> {
    return review.value ? loadClip(review.value.id, clipId) : null
  }

  function forgetTraces(): void {
    traces.value = new Map()
  }

  return {
    traces,
    keepTrace,
    tracePoints,
    keepCurve,
    curvePoints,
    keepPicture,
    picture,
    keepClip,
    clip,
    forgetTraces,
  }
}
