import localforage from 'localforage'
import type { ReviewDigest } from '#core/past'

/** A digest, and which program made it: another may come to other figures. */
interface KeptDigest {
  version: string
  digest: ReviewDigest
}

const store = localforage.createInstance({ name: 'rigorous-meter-digests', driver: localforage.INDEXEDDB })

/** A digest that was kept, as long as review and program are the same; null where it is to be made anew. */
export async function keptDigest(
  { id, updatedAt }: { id: string; updatedAt: string },
  version: string,
): Promise<ReviewDigest | null> {
  const kept = await store.getItem<KeptDigest>(id).catch(() => null)
  return kept?.version === version && kept.digest.updatedAt === updatedAt ? kept.digest : null
}

/** Keeps a digest. It can be made again: where there is no room for it, nothing is lost. */
export async function keepDigest(digest: ReviewDigest, version: string): Promise<void> {
  await store.setItem<KeptDigest>(digest.id, { version, digest }).catch(() => undefined)
}

/** Forgets digests of reviews that are gone. */
export async function forgetDigests(stay: ReadonlySet<string>): Promise<void> {
  const names = await store.keys().catch(() => [])
  await Promise.all(names.filter(id => !stay.has(id)).map(id => store.removeItem(id).catch(() => undefined)))
}
