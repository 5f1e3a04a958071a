import { REVIEW_SCHEMA_VERSION as schemaVersion } from '#core/bundle'
import type { CurvePoints, TracePoints } from '#core/review'
import { disk, recordKey, write } from './disk'

interface TraceRecord extends TracePoints {
  schemaVersion: number
}

interface CurveRecord extends CurvePoints {
  schemaVersion: number
}

interface PictureRecord {
  schemaVersion: number
  dataUrl: string
}

/** @throws StorageError */
export async function saveTrace(reviewId: string, traceId: string, points: TracePoints): Promise<void> {
  const record: TraceRecord = { schemaVersion, ...points }
  await write(() => disk.setItem(recordKey.trace(reviewId, traceId), record))
}

/** Points of a trace; null when they are not there. */
export async function loadTrace(reviewId: string, traceId: string): Promise<TracePoints | null> {
  const record = await disk.getItem<TraceRecord>(recordKey.trace(reviewId, traceId))
  return record && { frequenciesHz: record.frequenciesHz, levelsDbm: record.levelsDbm }
}

/** @throws StorageError */
export async function saveCurve(reviewId: string, curveId: string, points: CurvePoints): Promise<void> {
  const record: CurveRecord = { schemaVersion, ...points }
  await write(() => disk.setItem(recordKey.curve(reviewId, curveId), record))
}

/** Points of a curve; null when they are not there. */
export async function loadCurve(reviewId: string, curveId: string): Promise<CurvePoints | null> {
  const record = await disk.getItem<CurveRecord>(recordKey.curve(reviewId, curveId))
  return record && { x: record.x, y: record.y, y2: record.y2 }
}

/**
 * Keeps a picture as a data URL.
 * @throws StorageError
 */
export async function savePicture(reviewId: string, pictureId: string, dataUrl: string): Promise<void> {
  const record: PictureRecord = { schemaVersion, dataUrl }
  await write(() => disk.setItem(recordKey.picture(reviewId, pictureId), record))
}

/** A picture as a data URL; null when it is not there. */
export async function loadPicture(reviewId: string, pictureId: string): Promise<string | null> {
  return (await disk.getItem<PictureRecord>(recordKey.picture(reviewId, pictureId)))?.dataUrl ?? null
}
