/** A short tone, for the key-down clock; silent where the browser has no sound. */
export function useSoundCue() {
  let context: AudioContext | null = null

  function beep(frequencyHz: number, seconds: number): void {
    if (typeof AudioContext === 'undefined') return
    context ??= new AudioContext()
    const tone = context.createOscillator()
    const volume = context.createGain()
    tone.frequency.value = frequencyHz
    volume.gain.setValueAtTime(0.15, context.currentTime)
    volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + seconds)
    tone.connect(volume).connect(context.destination)
    tone.start()
    tone.stop(context.currentTime + seconds)
  }

  onBeforeUnmount(() => void context?.close())
  return { beep }
}
