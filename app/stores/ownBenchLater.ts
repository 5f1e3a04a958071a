/** The reviewer's own bench, fetched when it is wanted: its schemas would weigh on the shelf. */
export async function ownBench() {
  const { useOwnBenchStore } = await import('./ownBench')
  return useOwnBenchStore()
}
