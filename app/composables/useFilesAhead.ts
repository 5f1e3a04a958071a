import { fetchStationView } from '~/stations'
import { pageIdle } from './pageIdle'
import { savesData } from './savesData'

/** The page in hand is left in peace for so long, ms. */
const SETTLED_AFTER_MS = 2000

/**
 * Fetches what the screens of steps are drawn with while the page has nothing else to do, a station at a time: who
 * opens a step waits for its figures, not for its files. What cannot be had is asked for again when it is opened.
 * A browser that saves data fetches only that.
 */
export function useFilesAhead(
  stationIds: () => readonly string[],
  pathOf: (stationId: string) => string,
): void {
  let isLeft = false
  onBeforeUnmount(() => (isLeft = true))
  onMounted(async () => {
    if (savesData()) return
    await new Promise(resolve => setTimeout(resolve, SETTLED_AFTER_MS))
    for (const id of stationIds()) {
      await pageIdle()
      if (isLeft) return
      await Promise.allSettled([preloadRouteComponents(pathOf(id)), fetchStationView(id)])
    }
  })
}
