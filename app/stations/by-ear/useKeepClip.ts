import { MOST_CLIPS } from '#core/review'
import type { Step } from '#core/step'
import type { PreparedClip } from '#core/sound'

/**
 * Keeps a clip with a step: its sound first, so that its head never stands without.
 * @throws Error in plain words.
 */
export function useKeepClip() {
  const store = useReviewStore()
  const ui = useUiStore()

  async function keepClip(step: Step, clip: PreparedClip, name: string): Promise<void> {
    const { review } = store
    if (!review) return
    if (review.clips.length >= MOST_CLIPS)
      throw new Error(
        `A review holds ${MOST_CLIPS} clips. Take one off first; “${name}” was not kept, nothing else changed.`,
      )
    const id = crypto.randomUUID()
    const { dataUrl, bytes, sampleRateHz, seconds, wasS, loudnessLufs } = clip
    await store.keepClip(id, dataUrl)
    const isKept = store.change('a clip', draft => {
      draft.clips.push({
        ...{ id, setId: step.set.id, stepId: step.id, name, words: '', sounds: 'heard' },
        ...{ sampleRateHz, seconds, bytes, loudnessLufs },
        ...{ at: new Date().toISOString(), who: draft.reviewer },
      })
    })
    if (isKept) ui.say(keptWords(name, seconds, wasS))
  }

  return { keepClip }
}

function keptWords(name: string, seconds: number, wasS: number): string {
  const cut = wasS > seconds + 0.05 ? `; it is ${wasS.toFixed(0)} s long, and a clip holds no more` : ''
  return `The first ${seconds.toFixed(1)} s of “${name}” are kept${cut}. Say what is heard in it.`
}
