import { expose, transfer } from 'comlink'
import { CoreError } from '#core/errors'
import {
  parseTraceCsv,
  thinTrace,
  tracePeaks,
  type TracePeaks,
  type TracePeaksInput,
  type TraceSpur,
  traceSpurs,
  type TraceSpursInput,
} from '#core/format'
import type { TracePoints } from '#core/review'
import type { Detection } from '#core/uncertainty'

/** A trace file as the page needs it: all points to keep, few to draw. */
export interface TraceFileRead extends TracePoints {
  resolutionBandwidthHz: number | null
  detection: Detection | null
  levelColumns: { index: number; name: string }[]
  levelColumn: number
  understood: string[]
  sha256: string
}

export type TraceAnswer<T> = { ok: true; value: T } | { ok: false; message: string }

function decode(bytes: ArrayBuffer): string {
  const head = new Uint8Array(bytes, 0, Math.min(2, bytes.byteLength))
  if (head[0] === 0xff && head[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (head[0] === 0xfe && head[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

async function answer<T>(run: () => Promise<T> | T): Promise<TraceAnswer<T>> {
  try {
    return { ok: true, value: await run() }
  } catch (error) {
    if (error instanceof CoreError) return { ok: false, message: error.message }
    throw error
  }
}

const api = {
  async read(
    bytes: ArrayBuffer,
    fileName: string,
    levelColumn?: number,
  ): Promise<TraceAnswer<TraceFileRead>> {
    const read = await answer(async () => {
      const parsed = parseTraceCsv(decode(bytes), fileName, { levelColumn })
      const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes))
      return { ...parsed, sha256: [...digest].map(byte => byte.toString(16).padStart(2, '0')).join('') }
    })
    return read.ok ? transfer(read, [read.value.frequenciesHz.buffer, read.value.levelsDbm.buffer]) : read
  },
  peaks(points: TracePoints, input: TracePeaksInput): Promise<TraceAnswer<TracePeaks>> {
    return answer(() => tracePeaks(points, input))
  },
  spurs(points: TracePoints, input: TraceSpursInput): Promise<TraceAnswer<TraceSpur[]>> {
    return answer(() => traceSpurs(points, input))
  },
  thin(points: TracePoints, buckets: number): Promise<TraceAnswer<TracePoints>> {
    return answer(() => thinTrace(points, buckets))
  },
}

export type TraceWorker = typeof api

expose(api)
