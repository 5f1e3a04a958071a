/**
 * Lets a field say what was refused of it: whatever the review refuses while the field hands its value over
 * is the field’s own.
 */
export function useRefusal() {
  const store = useReviewStore()
  const refused = ref('')

  /** Hands a value over; true where it was taken. */
  function handOver(hand: () => void): boolean {
    const before = store.refusal.count
    hand()
    const isRefused = store.refusal.count > before
    refused.value = isRefused ? store.refusal.message : ''
    return !isRefused
  }

  return { refused, handOver }
}
