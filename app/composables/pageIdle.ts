/** Where a browser cannot tell when it is idle, it is taken for idle after this long, ms. */
const WITHOUT_TELLING_MS = 50

/**
 * Resolves once the page has nothing else to do.
 * @param latestMs - longest that is waited for that, ms; without it, as long as the page is busy.
 */
export function pageIdle(latestMs?: number): Promise<void> {
  return new Promise(resolve => {
    if (typeof requestIdleCallback === 'function')
      requestIdleCallback(() => resolve(), latestMs === undefined ? {} : { timeout: latestMs })
    else setTimeout(resolve, WITHOUT_TELLING_MS)
  })
}
