import { buf, str } from 'crc-32'
import type { CurvePoints, TracePoints } from '#core/review'
import { readRecord, writeRecords } from './disk'
import { recordName } from './recordNames'
import { STORAGE_FORM } from './seal'

/** Rows of figures as they are kept; older forms have neither length nor checksum. */
interface PointsRecord {
  form?: number
  length?: number
  sum?: number
}

interface DataUrlRecord extends PointsRecord {
  dataUrl: string
}

const sumOf = (rows: readonly Float64Array[]): number =>
  rows.reduce((sum, row) => buf(new Uint8Array(row.buffer, row.byteOffset, row.byteLength), sum), 0)

const sealOf = (rows: readonly Float64Array[]): Required<PointsRecord> => ({
  form: STORAGE_FORM,
  length: rows[0]!.length,
  sum: sumOf(rows),
})

function isSound({ form, length, sum }: PointsRecord, rows: readonly unknown[]): boolean {
  if (!rows.every(row => row instanceof Float64Array)) return false
  return form === undefined || (length === rows[0]!.length && sum === sumOf(rows))
}

/** @throws StorageError */
export async function saveTrace(reviewId: string, traceId: string, points: TracePoints): Promise<void> {
  const { frequenciesHz, levelsDbm } = points
  const record = { ...sealOf([frequenciesHz, levelsDbm]), frequenciesHz, levelsDbm }
  await writeRecords([[recordName.trace(reviewId, traceId), record]])
}

/** Points of a trace; null when they are not there, or damaged. */
export async function loadTrace(reviewId: string, traceId: string): Promise<TracePoints | null> {
  const record = (await readRecord(recordName.trace(reviewId, traceId))) as
    (TracePoints & PointsRecord) | null
  if (!record) return null
  const { frequenciesHz, levelsDbm } = record
  return isSound(record, [frequenciesHz, levelsDbm]) ? { frequenciesHz, levelsDbm } : null
}

/** @throws StorageError */
export async function saveCurve(reviewId: string, curveId: string, points: CurvePoints): Promise<void> {
  const { x, y, y2 } = points
  await writeRecords([[recordName.curve(reviewId, curveId), { ...sealOf([x, y, y2]), x, y, y2 }]])
}

/** Points of a curve; null when they are not there, or damaged. */
export async function loadCurve(reviewId: string, curveId: string): Promise<CurvePoints | null> {
  const record = (await readRecord(recordName.curve(reviewId, curveId))) as
    (CurvePoints & PointsRecord) | null
  if (!record) return null
  const { x, y, y2 } = record
  return isSound(record, [x, y, y2]) ? { x, y, y2 } : null
}

/**
 * Keeps a picture as a data URL.
 * @throws StorageError
 */
export function savePicture(reviewId: string, pictureId: string, dataUrl: string): Promise<void> {
  return saveDataUrl(recordName.picture(reviewId, pictureId), dataUrl)
}

/** A picture as a data URL; null when it is not there, or damaged. */
export function loadPicture(reviewId: string, pictureId: string): Promise<string | null> {
  return loadDataUrl(recordName.picture(reviewId, pictureId))
}

/**
 * Keeps a clip of sound as a data URL.
 * @throws StorageError
 */
export function saveClip(reviewId: string, clipId: string, dataUrl: string): Promise<void> {
  return saveDataUrl(recordName.clip(reviewId, clipId), dataUrl)
}

/** A clip of sound as a data URL; null when it is not there, or damaged. */
export function loadClip(reviewId: string, clipId: string): Promise<string | null> {
  return loadDataUrl(recordName.clip(reviewId, clipId))
}

async function saveDataUrl(name: string, dataUrl: string): Promise<void> {
  const record: DataUrlRecord = { form: STORAGE_FORM, length: dataUrl.length, sum: str(dataUrl), dataUrl }
  await writeRecords([[name, record]])
}

async function loadDataUrl(name: string): Promise<string | null> {
  const record = (await readRecord(name)) as DataUrlRecord | null
  if (typeof record?.dataUrl !== 'string') return null
  const { form, length, sum, dataUrl } = record
  return form === undefined || (length === dataUrl.length && sum === str(dataUrl)) ? dataUrl : null
}
