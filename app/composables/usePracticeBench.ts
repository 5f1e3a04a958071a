import type { PracticeStand } from '~/link/benchDesk'

/** The evening the open review is practice of; null where it is a real one. */
export function usePracticeBench() {
  return computed<PracticeStand | null>(() => null)
}
