import localforage from 'localforage'
import { emptyBench, type OwnBench, validBench } from '#core/own-bench'

const store = localforage.createInstance({ name: 'rigorous-meter-bench', driver: localforage.INDEXEDDB })
const NAME = 'bench'

/**
 * The reviewer's own bench as it is kept in this browser.
 * @throws CoreError `bad-file` where it is damaged: it is left as it is.
 */
export async function loadOwnBench(): Promise<OwnBench> {
  const kept = await store.getItem(NAME)
  return kept === null ? emptyBench(new Date().toISOString()) : validBench(kept, 'My bench')
}

/** Keeps the bench. */
export async function saveOwnBench(bench: OwnBench): Promise<void> {
  await store.setItem(NAME, JSON.parse(JSON.stringify(bench)) as OwnBench)
}
