import localforage from 'localforage'

/** Where evenings of practice are kept, by the review each is done in. */
export const practiceKept = localforage.createInstance({
  name: 'rigorous-meter-practice',
  driver: localforage.INDEXEDDB,
})

/** Reviews that are practice: simulated radios, which nobody wants beside real ones. */
export async function practiceIds(): Promise<ReadonlySet<string>> {
  return new Set(await practiceKept.keys())
}
