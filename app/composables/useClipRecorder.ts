import { type InputFacts, captureFrom, openSoundInput, refusalWords, type SoundInput } from './soundInput'

/** Where recording stands. */
export type RecorderState =
  | { kind: 'off' }
  | { kind: 'starting' }
  | ({ kind: 'recording'; seconds: number; peak: number } & InputFacts)
  | { kind: 'refused'; words: string }

/** What was recorded: one channel, full scale 1. */
export interface Recorded {
  samples: Float32Array
  sampleRateHz: number
  device: string
}

/**
 * Records the sound card, as it is delivered, until it is stopped or has run its time; what was recorded before a
 * device goes is handed over all the same.
 */
export function useClipRecorder(mostS: number, onRecorded: (recorded: Recorded) => void) {
  const state = shallowRef<RecorderState>({ kind: 'off' })
  let input: SoundInput | null = null
  let pieces: Float32Array[] = []
  let count = 0
  /** Who left while the browser was still asking leaves no microphone open. */
  let isGone = false

  async function start(): Promise<void> {
    if (state.value.kind === 'starting' || state.value.kind === 'recording') return
    state.value = { kind: 'starting' }
    pieces = []
    count = 0
    try {
      input = await openSoundInput('', lost)
      const { node, port } = await captureFrom(input, 0)
      if (isGone) return close()
      port.onmessage = ({ data }: MessageEvent<Float32Array>) => take(data)
      input.source.connect(node)
      state.value = { kind: 'recording', seconds: 0, peak: 0, ...input.facts }
    } catch (error) {
      close()
      state.value = { kind: 'refused', words: refusalWords(error) }
    }
  }

  function take(piece: Float32Array): void {
    const now = state.value
    if (now.kind !== 'recording') return
    pieces.push(piece)
    count += piece.length
    const seconds = count / now.sampleRateHz
    state.value = { ...now, seconds, peak: peakOf(piece) }
    if (seconds >= mostS) stop()
  }

  function stop(): void {
    const now = state.value
    if (now.kind !== 'recording') return
    const rate = input?.context.sampleRate ?? now.sampleRateHz
    close()
    state.value = { kind: 'off' }
    if (count > 0)
      onRecorded({ samples: joined(pieces, count), sampleRateHz: Math.round(rate), device: now.device })
    pieces = []
  }

  function lost(words: string): void {
    stop()
    state.value = { kind: 'refused', words }
  }

  function close(): void {
    input?.close()
    input = null
  }

  // Who leaves the page in the middle keeps what was recorded so far.
  onBeforeUnmount(() => {
    isGone = true
    stop()
    close()
  })

  return { state, start, stop }
}

function peakOf(piece: Float32Array): number {
  let peak = 0
  for (const value of piece) peak = Math.max(peak, Math.abs(value))
  return peak
}

function joined(pieces: readonly Float32Array[], count: number): Float32Array {
  const all = new Float32Array(count)
  let at = 0
  for (const piece of pieces) {
    all.set(piece, at)
    at += piece.length
  }
  return all
}
