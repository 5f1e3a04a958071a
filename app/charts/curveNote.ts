import type { CurveHead, CurvePoints } from '#core/review'

/** Where a drawn spectrum comes from, and what its grey line is. */
export function curveNote(head: CurveHead | null, points: CurvePoints | null): string {
  if (!head) return 'as typed; a recording draws the spectrum'
  return points && points.y2.length > 0 ? `${head.fileName}; grey: the highest of each place` : head.fileName
}
