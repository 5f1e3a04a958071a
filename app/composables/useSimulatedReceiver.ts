import type { Step } from '#core/step'
import { receiverMeta, receiverRecording } from '#core/virtual'

/**
 * The receiver’s stand-in: records a simulated radio and hands over a SigMF recording, as a real one would be
 * dropped.
 */
export function useSimulatedReceiver() {
  async function record({ id, set, band, channel }: Step): Promise<File[]> {
    const { simulatedRecording } = await import('~/workers/recordingWorkers')
    const recording = receiverRecording({
      setId: set.id,
      placeId: id,
      band,
      frequencyHz: channel.frequencyHz,
    })
    const samples = await simulatedRecording(recording.signal)
    return [
      new File([JSON.stringify(receiverMeta(recording))], `${recording.name}.sigmf-meta`),
      new File([samples], `${recording.name}.sigmf-data`),
    ]
  }

  return { record }
}
