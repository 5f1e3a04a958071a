/** Writes `sw.js` into a folder of built files: a worker that keeps all of them in the browser. */
export function writeServiceWorker(folder: string, page: string): Promise<{ count: number; size: number }>
