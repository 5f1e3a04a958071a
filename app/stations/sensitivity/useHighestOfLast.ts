/** The highest peak of the last so many reports, dB of full scale; null as long as there is none. */
export function useHighestOfLast(
  report: () => { readonly peakDb: number } | null,
  { reports }: { reports: number },
) {
  const highest = ref<number | null>(null)
  let last: number[] = []
  watch(
    report,
    now => {
      last = now ? [...last, now.peakDb].slice(-reports) : []
      highest.value = last.length > 0 ? Math.max(...last) : null
    },
    { immediate: true },
  )
  return { highest: readonly(highest) }
}
