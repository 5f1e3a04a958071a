import type { ClipHead } from '#core/review'

/** Plays clips, each by itself or levelled to the loudness of others. */
export function useClipPlayer() {
  const store = useReviewStore()
  const ui = useUiStore()
  /** Clip that is heard just now. */
  const playing = ref<string | null>(null)
  let context: AudioContext | null = null
  let source: AudioBufferSourceNode | null = null
  /** What is asked for last counts. */
  let asked = 0

  /** Plays a clip. @param gainDb - never above 0: nothing is made to clip. */
  async function play(clip: ClipHead, gainDb = 0): Promise<void> {
    stop()
    const mine = ++asked
    const dataUrl = await store.clip(clip.id)
    if (mine !== asked) return
    if (dataUrl === null)
      return ui.sayProblem(
        `The sound of “${clip.words || clip.name}” is not there any more; its figures are.`,
      )
    try {
      context ??= new AudioContext()
      await context.resume()
      const buffer = await context.decodeAudioData(bytesOf(dataUrl))
      if (mine !== asked) return
      const node = context.createBufferSource()
      const gain = context.createGain()
      gain.gain.value = 10 ** (Math.min(0, gainDb) / 20)
      node.buffer = buffer
      node.connect(gain).connect(context.destination)
      node.onended = () => {
        if (source === node) playing.value = source = null
      }
      node.start()
      source = node
      playing.value = clip.id
    } catch {
      ui.sayProblem('This browser cannot play the clip. Take it away as a file and play it elsewhere.')
    }
  }

  function stop(): void {
    asked++
    if (source) {
      source.onended = null
      source.stop()
    }
    playing.value = source = null
  }

  onBeforeUnmount(() => {
    stop()
    void context?.close()
  })

  return { playing, play, stop }
}

function bytesOf(dataUrl: string): ArrayBuffer {
  const text = atob(dataUrl.slice(dataUrl.indexOf(',') + 1))
  return Uint8Array.from(text, character => character.charCodeAt(0)).buffer
}
