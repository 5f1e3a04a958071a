import { planRun, runKey } from '#core/plan'
import type { RunRow } from './useRunRows'

/** Changes to the order of the run, and to which of its steps are walked. */
export function useRunOrder() {
  const store = useReviewStore()

  /** Puts a step of the shown rows somewhere else; the whole order is kept. Tells whether it moved. */
  function move(rows: readonly RunRow[], from: number, to: number): boolean {
    const moved = rows[from]
    const beside = rows[to]
    if (!moved || !beside || from === to || !store.context) return false
    const keys = planRun(store.context)
      .steps.map(runKey)
      .filter(key => key !== moved.key)
    keys.splice(keys.indexOf(beside.key) + (to > from ? 1 : 0), 0, moved.key)
    return store.change('the order of the run', draft => {
      draft.runOrder = keys
    })
  }

  function proposeAgain(): void {
    store.change('the proposed order again', draft => {
      draft.runOrder = []
    })
  }

  function skip({ step }: RunRow, reason: string): void {
    const skipped = { setId: step.set.id, stepId: step.id, reason, at: new Date().toISOString() }
    store.change('a step left out', draft => {
      draft.skipped.push(skipped)
    })
  }

  function takeUp({ step }: RunRow): void {
    store.change('a step taken up again', draft => {
      draft.skipped = draft.skipped.filter(one => one.setId !== step.set.id || one.stepId !== step.id)
    })
  }

  return { move, proposeAgain, skip, takeUp }
}
