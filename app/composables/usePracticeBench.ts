import type { PracticeStand } from '~/link/benchDesk'

/** The bench of the evening the open review is practice of; null where it is a real one. */
export function usePracticeBench() {
  const practice = usePracticeStore()
  return computed<PracticeStand | null>(() => practice.session)
}
