import type { StationRun } from './useStationRun'

/** What the keys of a station do on its screen. */
export interface StationKeyActions {
  bringIn: () => void
  retake: () => void
  note: () => void
  /** A digit or sign was typed anywhere: the focus goes to the next open field, before the key arrives. */
  type: () => void
}

const FIGURE_KEYS = [...'0123456789-−+']

/** The keys every station has: next, previous, bring in, retake, note, and digits into the next open field. */
export function useStationKeys(run: StationRun, actions: StationKeyActions): void {
  const quietly = (go: () => void) => (event: KeyboardEvent) => {
    event.preventDefault()
    go()
  }
  useKeys({
    n: () => run.toStep(1),
    p: () => run.toStep(-1),
    i: actions.bringIn,
    r: quietly(actions.retake),
    o: quietly(actions.note),
    ...Object.fromEntries(FIGURE_KEYS.map(key => [key, actions.type])),
  })
}
