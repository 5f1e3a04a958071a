import type { ReviewDigest } from '#core/past'
import { loadUnchecked, type ReviewHead } from '~/storage'
import { forgetDigests, keepDigest, keptDigest } from '~/storage/digestStore'
import { digester } from '~/workers/digestWorker'

/** A review of more readings is worked through only when it is asked for. */
const LARGE = 4000

/** What the reviews of the shelf come to: kept from before, or worked out one after the other beside the page. */
export function useDigests(heads: () => readonly ReviewHead[]) {
  const version = String(useRuntimeConfig().public.version)
  const digests = shallowRef<ReadonlyMap<string, ReviewDigest>>(new Map())
  const asked = ref<ReadonlySet<string>>(new Set())
  /** How many are still to be worked out. */
  const left = ref(0)
  let latest = 0
  let worker: ReturnType<typeof digester> | null = null

  const isCurrent = ({ id, updatedAt }: ReviewHead) => digests.value.get(id)?.updatedAt === updatedAt

  function add(digest: ReviewDigest): void {
    digests.value = new Map(digests.value).set(digest.id, digest)
  }

  async function fill(): Promise<void> {
    const mine = ++latest
    const open: ReviewHead[] = []
    for (const head of heads()) {
      if (isCurrent(head)) continue
      const kept = await keptDigest(head, version)
      if (mine !== latest) return
      if (kept) add(kept)
      else if (head.readingCount <= LARGE || asked.value.has(head.id)) open.push(head)
    }
    void forgetDigests(new Set(heads().map(({ id }) => id)))
    left.value = open.length
    for (const head of open) {
      await workOut(head)
      if (mine !== latest) return
      left.value -= 1
    }
  }

  /** One that cannot be read has no marks: it says so itself where it stands. */
  async function workOut({ id }: ReviewHead): Promise<void> {
    try {
      const kept = await loadUnchecked(id)
      if (kept === null) return
      worker ??= digester()
      const digest = await worker.digest(kept)
      add(digest)
      await keepDigest(digest, version)
    } catch {
      worker?.stop()
      worker = null
    }
  }

  watch([heads, asked], () => void fill(), { immediate: true })
  onScopeDispose(() => {
    latest += 1
    worker?.stop()
  })

  const isLarge = (head: ReviewHead) =>
    head.readingCount > LARGE && !asked.value.has(head.id) && !isCurrent(head)
  const ask = (id: string) => (asked.value = new Set([...asked.value, id]))

  return { digests, left: readonly(left), isLarge, ask }
}
