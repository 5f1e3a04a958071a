import { applyPatches, enablePatches, type Patch, produceWithPatches, setAutoFreeze } from 'immer'
import { checkChange, type Reading, type Review } from '#core/review'
import { checkMemos } from '#core/station'
import { useReviewHistory } from './useReviewHistory'

enablePatches()
setAutoFreeze(false)

/** What the changes of the open review are made to. */
interface Changed {
  review: Readonly<Ref<Review | null>>
  readOnly: Readonly<Ref<boolean>>
  /** Shows and keeps the next state. */
  put: (next: Review) => void
}

const touches = (paths: readonly (string | number)[][], field: keyof Review): boolean =>
  paths.some(([first]) => first === field)

type Produced = readonly [next: Review, forward: Patch[], back: Patch[]]

/** The same with readings added at the end: immer would look through all there are. */
function withReadings([next, forward, back]: Produced, taken: readonly Reading[]): Produced {
  if (taken.length === 0) return [next, forward, back]
  const { length } = next.readings
  const added = taken.map((value, i): Patch => ({ op: 'add', path: ['readings', length + i], value }))
  const removed: Patch = { op: 'replace', path: ['readings', 'length'], value: length }
  return [{ ...next, readings: [...next.readings, ...taken] }, [...forward, ...added], [removed, ...back]]
}

/** The one way to change the open review, and undo and redo. */
export function useReviewChanges({ review, readOnly, put }: Changed) {
  const ui = useUiStore()
  const history = useReviewHistory()

  /** What was refused last, for the field it was typed in; counted, so that a field knows it was its own. */
  const refusal = shallowRef({ count: 0, message: '' })

  function refuse(message: string): false {
    refusal.value = { count: refusal.value.count + 1, message }
    ui.sayProblem(`${message} The review is as it was before.`)
    return false
  }

  /**
   * Changes the review; the change is saved at once and can be undone. What could not be opened again is
   * refused in words. Returns false when read-only or refused.
   * @param taken - readings that are added, after whatever the recipe does.
   */
  function change(label: string, recipe: (draft: Review) => void, taken: readonly Reading[] = []): boolean {
    if (!review.value || readOnly.value) {
      if (review.value) ui.say('This review is open in another tab. Take it over to change it here.')
      return false
    }
    const [next, forward, back] = withReadings(produceWithPatches(review.value, recipe), taken)
    if (forward.length === 0) return true
    const paths = forward.map(({ path }) => path)
    const wrong = checkChange(next, paths) ?? (touches(paths, 'memos') ? checkMemos(next) : null)
    if (wrong) return refuse(wrong.message)
    history.add({ label, forward, back })
    put(next)
    return true
  }

  function undo(): void {
    const last = review.value && !readOnly.value ? history.stepBack() : null
    if (!last) return
    put(applyPatches(review.value!, last.back))
    ui.say(`Undone: ${last.label}.`)
  }

  function redo(): void {
    const next = review.value && !readOnly.value ? history.stepForward() : null
    if (!next) return
    put(applyPatches(review.value!, next.forward))
    ui.say(`Done again: ${next.label}.`)
  }

  const canUndo = computed(() => history.past.value.length > 0 && !readOnly.value)
  const canRedo = computed(() => history.future.value.length > 0 && !readOnly.value)
  return { refusal, change, undo, redo, canUndo, canRedo, forgetHistory: history.forget }
}
