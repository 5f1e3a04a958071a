import { createContext, createSharedWork } from '#core/context'
import { applyPatches, enablePatches, type Patch, produceWithPatches, setAutoFreeze } from 'immer'
import { checkMemos } from '#core/station'
import { checkChange, type CurvePoints, type Review, type TracePoints } from '#core/review'
import {
  loadCurve,
  loadPicture,
  loadReview,
  loadTrace,
  saveCurve,
  savePicture,
  saveReview,
  saveTrace,
} from '~/storage'
import { lockReview, type LockState, type ReviewLock } from '~/storage/reviewLock'

enablePatches()
setAutoFreeze(false)

interface Change {
  label: string
  forward: Patch[]
  back: Patch[]
}

export type SaveState =
  { kind: 'saved'; at: Date | null } | { kind: 'saving' } | { kind: 'failed'; message: string }

const MOST_UNDO = 500

const touches = (paths: readonly (string | number)[][], field: keyof Review): boolean =>
  paths.some(([first]) => first === field)

/** The open review: its document, the one way to change it, undo and redo, saving, and who may write. */
export const useReviewStore = defineStore('review', () => {
  const ui = useUiStore()
  const review = shallowRef<Review | null>(null)
  const missing = ref(false)
  const problem = ref<string | null>(null)
  const lockState = ref<LockState>('waiting')
  const saveState = ref<SaveState>({ kind: 'saved', at: null })
  const past = shallowRef<Change[]>([])
  const future = shallowRef<Change[]>([])
  const traces = shallowRef<ReadonlyMap<string, TracePoints>>(new Map())
  let lock: ReviewLock | null = null
  let channel: BroadcastChannel | null = null
  let writing: Promise<void> = Promise.resolve()

  const shared = markRaw(createSharedWork())
  const context = computed(() => review.value && createContext(review.value, shared))
  const readOnly = computed(() => lockState.value !== 'mine')
  const canUndo = computed(() => past.value.length > 0 && !readOnly.value)
  const canRedo = computed(() => future.value.length > 0 && !readOnly.value)

  async function open(id: string): Promise<void> {
    if (review.value?.id === id && lock) return
    close()
    missing.value = false
    problem.value = null
    channel = new BroadcastChannel(`rigorous-meter:${id}`)
    channel.onmessage = () => {
      if (readOnly.value) void reload(id)
    }
    await reload(id)
    if (!review.value) return
    lock = lockReview(id, state => {
      const lost = lockState.value === 'mine' && state === 'elsewhere'
      lockState.value = state
      if (lost) ui.say('Another tab has taken this review over. Here it is read-only now; nothing was lost.')
    })
  }

  async function reload(id: string): Promise<void> {
    try {
      const found = await loadReview(id)
      review.value = found
      missing.value = found === null
      past.value = []
      future.value = []
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
  }

  function close(): void {
    lock?.release()
    lock = null
    channel?.close()
    channel = null
    review.value = null
    traces.value = new Map()
    past.value = []
    future.value = []
    lockState.value = 'waiting'
    saveState.value = { kind: 'saved', at: null }
  }

  async function takeOver(): Promise<void> {
    const id = review.value?.id
    if (!id || !lock) return
    await lock.takeOver()
    await reload(id)
  }

  /**
   * Changes the review; the change is saved at once and can be undone. What could not be opened again is
   * refused in words. Returns false when read-only or refused.
   */
  function change(label: string, recipe: (draft: Review) => void): boolean {
    if (!review.value || readOnly.value) {
      if (review.value) ui.say('This review is open in another tab. Take it over to change it here.')
      return false
    }
    const [next, forward, back] = produceWithPatches(review.value, recipe)
    if (forward.length === 0) return true
    const paths = forward.map(({ path }) => path)
    const wrong = checkChange(next, paths) ?? (touches(paths, 'memos') ? checkMemos(next) : null)
    if (wrong) return refuse(wrong.message)
    past.value = [...past.value.slice(-MOST_UNDO + 1), { label, forward, back }]
    future.value = []
    put(next)
    return true
  }

  /** What was refused last, for the field it was typed in; counted, so that a field knows it was its own. */
  const refusal = shallowRef({ count: 0, message: '' })

  function refuse(message: string): false {
    refusal.value = { count: refusal.value.count + 1, message }
    ui.sayProblem(`${message} The review is as it was before.`)
    return false
  }

  function undo(): void {
    const last = past.value.at(-1)
    if (!last || !review.value || readOnly.value) return
    past.value = past.value.slice(0, -1)
    future.value = [...future.value, last]
    put(applyPatches(review.value, last.back))
    ui.say(`Undone: ${last.label}.`)
  }

  function redo(): void {
    const next = future.value.at(-1)
    if (!next || !review.value || readOnly.value) return
    future.value = future.value.slice(0, -1)
    past.value = [...past.value, next]
    put(applyPatches(review.value, next.forward))
    ui.say(`Done again: ${next.label}.`)
  }

  function put(next: Review): void {
    review.value = { ...next, updatedAt: new Date().toISOString() }
    saveState.value = { kind: 'saving' }
    const snapshot = review.value
    writing = writing.then(() => save(snapshot))
  }

  async function save(snapshot: Review): Promise<void> {
    try {
      await saveReview(snapshot)
      if (review.value === snapshot) saveState.value = { kind: 'saved', at: new Date() }
      channel?.postMessage('saved')
    } catch (error) {
      saveState.value = { kind: 'failed', message: error instanceof Error ? error.message : String(error) }
      ui.sayProblem(error)
    }
  }

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

  /** Keeps the points of a curve; its head goes into the review with the figures it belongs to. */
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

  return {
    keepCurve,
    curvePoints,
    keepPicture,
    picture,
    review,
    missing,
    problem,
    lockState,
    readOnly,
    refusal,
    saveState,
    context,
    shared,
    canUndo,
    canRedo,
    traces,
    open,
    close,
    takeOver,
    change,
    undo,
    redo,
    keepTrace,
    tracePoints,
  }
})
