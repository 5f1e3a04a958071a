/** How safe what is kept in this browser is. */
export interface StorageHealth {
  /** Whether the browser has promised not to clear it by itself; null where it does not say. */
  persisted: boolean | null
  freeBytes: number | null
  usedBytes: number | null
  /** When a review was last taken away as a file; null: never from this browser. */
  lastBackupAt: string | null
}

const BACKUPS = 'rigorous-meter:taken-away'
const ASKED = 'rigorous-meter:persist-asked'

function backups(): Record<string, string> {
  try {
    return JSON.parse(localStorage.getItem(BACKUPS) ?? '{}') as Record<string, string>
  } catch {
    return {}
  }
}

/** Notes that a review was taken away as a file just now. */
export function noteBackup(reviewId: string): void {
  try {
    localStorage.setItem(BACKUPS, JSON.stringify({ ...backups(), [reviewId]: new Date().toISOString() }))
  } catch {
    // No room to note it in: the file is in the person's hands all the same.
  }
}

/** When a review was last taken away as a file; null: never from this browser. */
export function backedUpAt(reviewId: string): string | null {
  return backups()[reviewId] ?? null
}

/** How safe what is kept is. The browser is asked once not to clear it by itself. */
export async function storageHealth(): Promise<StorageHealth> {
  const { storage } = navigator as { storage?: StorageManager }
  const [persisted, estimate] = await Promise.all([
    persistedOrAsked(storage).catch(() => null),
    storage?.estimate?.().catch(() => null) ?? null,
  ])
  const { quota, usage } = estimate ?? {}
  return {
    persisted,
    freeBytes: quota === undefined || usage === undefined ? null : Math.max(0, quota - usage),
    usedBytes: usage ?? null,
    lastBackupAt: Object.values(backups()).sort().at(-1) ?? null,
  }
}

async function persistedOrAsked(storage: StorageManager | undefined): Promise<boolean | null> {
  if (!storage?.persisted) return null
  if (await storage.persisted()) return true
  if (localStorage.getItem(ASKED) !== null) return false
  localStorage.setItem(ASKED, '1')
  return storage.persist()
}
