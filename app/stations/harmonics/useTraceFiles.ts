import { MAX_TRACE_BYTES } from '#core/format'
import type { TraceFileRead } from '~/workers/trace.worker'
import { askTraceWorker } from '~/workers/traceWorker'

/** Takes a trace file from button or drop, reads it in the worker, and holds it until it is confirmed. */
export function useTraceFiles() {
  const ui = useUiStore()
  const file = shallowRef<TraceFileRead | null>(null)
  const fileName = ref('')
  const busy = ref(false)

  let last: File | null = null

  async function bringIn(picked: File | undefined | null, levelColumn?: number): Promise<void> {
    if (!picked) return
    last = picked
    if (picked.size > MAX_TRACE_BYTES) {
      ui.sayProblem(
        `“${picked.name}” has ${Math.round(picked.size / 1e6)} MB; ` +
          `a trace may have ${MAX_TRACE_BYTES / 1e6} MB. It was not brought in, and everything you had is as it was.`,
      )
      return
    }
    busy.value = true
    try {
      const bytes = await picked.arrayBuffer()
      file.value = await askTraceWorker(worker => worker.read(bytes, picked.name, levelColumn))
      fileName.value = picked.name
    } catch (error) {
      ui.sayProblem(error)
    }
    busy.value = false
  }

  /** The same file with another column of levels. */
  const useColumn = (levelColumn: number) => bringIn(last, levelColumn)

  /** A sweep that was read from an instrument: nothing of it has to be understood. */
  function takeRead(read: TraceFileRead, name: string): void {
    last = null
    file.value = read
    fileName.value = name
  }

  function drop(): void {
    file.value = null
  }

  return { file, fileName, busy, bringIn, takeRead, useColumn, drop }
}
