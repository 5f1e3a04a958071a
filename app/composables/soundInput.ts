import { plainWords } from '~/errors/plainWords'
import captureUrl from '~/workers/capture.worklet.ts?worker&url'

/** A device that can be listened to. */
export interface InputDevice {
  id: string
  title: string
}

/** What the browser is asked to leave alone. */
const PLAIN = { echoCancellation: false, noiseSuppression: false, autoGainControl: false } as const
type Processing = keyof typeof PLAIN
const PROCESSING_WORDS: Record<Processing, string> = {
  echoCancellation: 'echo cancelling',
  noiseSuppression: 'noise reduction',
  autoGainControl: 'automatic gain',
}

/** What is known of an open input. */
export interface InputFacts {
  device: string
  sampleRateHz: number
  remarks: string[]
}

/** An input that delivers sound. */
export interface SoundInput {
  deviceId: string
  channels: number
  facts: InputFacts
  context: AudioContext
  source: MediaStreamAudioSourceNode
  close: () => void
}

/**
 * Opens an input with the browser’s own processing asked off.
 * @param onLost - told in words when the device goes.
 * @throws DOMException where the browser refuses; `refusalWords` says why.
 */
export async function openSoundInput(deviceId: string, onLost: (words: string) => void): Promise<SoundInput> {
  if (!navigator.mediaDevices) throw new Error(NO_MEDIA)
  const stream = await navigator.mediaDevices.getUserMedia({
    audio: { ...PLAIN, ...(deviceId ? { deviceId: { exact: deviceId } } : {}) },
  })
  const [track] = stream.getAudioTracks()
  if (!track) throw new Error(NO_MEDIA)
  const context = new AudioContext({ latencyHint: 'interactive' })
  track.onended = () => onLost(UNPLUGGED)
  return {
    deviceId: track.getSettings().deviceId ?? '',
    channels: track.getSettings().channelCount ?? 1,
    facts: factsOf(track, context.sampleRate),
    context,
    source: context.createMediaStreamSource(stream),
    close: () => {
      track.onended = null
      stream.getTracks().forEach(one => one.stop())
      void context.close()
    },
  }
}

/** Hands what an input delivers to a port, one channel of it; nothing flows until the source is connected. */
export async function captureFrom({ context }: SoundInput, channel: number) {
  await context.audioWorklet.addModule(captureUrl)
  const node = new AudioWorkletNode(context, 'capture', { numberOfInputs: 1, numberOfOutputs: 0 })
  const { port1, port2 } = new MessageChannel()
  node.port.postMessage({ to: port1, channel }, [port1])
  return { node, port: port2, choose: (value: number) => node.port.postMessage({ channel: value }) }
}

const NO_MEDIA =
  'This browser gives no sound to a page at this address. Over https, or on this machine itself, it does.'
const UNPLUGGED =
  'The device was unplugged, or taken by another program. What was kept stands; plug it in and press Listen.'

/** What the track itself reports: whether the browser really leaves the sound alone. */
function factsOf(track: MediaStreamTrack, sampleRateHz: number): InputFacts {
  const reported: Partial<Record<Processing | 'sampleRate', unknown>> = track.getSettings()
  const names = Object.keys(PROCESSING_WORDS) as Processing[]
  const isOn = names.filter(name => reported[name] === true)
  const silent = names.filter(name => reported[name] === undefined)
  const words = (list: Processing[]) => list.map(name => PROCESSING_WORDS[name]).join(', ')
  const rate = typeof reported.sampleRate === 'number' ? reported.sampleRate : sampleRateHz
  return {
    device: track.label || 'the default input',
    sampleRateHz,
    remarks: [
      ...(isOn.length > 0
        ? [`The browser keeps ${words(isOn)} on: it works on the sound, and no figure of it is fit to keep.`]
        : []),
      ...(silent.length > 0
        ? [`The browser does not say whether ${words(silent)} is off. Compare once with a recording.`]
        : []),
      ...(rate !== sampleRateHz
        ? [`The device runs at ${rate} samples a second and is converted to ${sampleRateHz}.`]
        : []),
    ],
  }
}

/** The inputs there are; without names until the browser was allowed to listen once. */
export async function inputDevices(): Promise<InputDevice[]> {
  const all = await navigator.mediaDevices.enumerateDevices()
  return all
    .filter(({ kind }) => kind === 'audioinput')
    .map(({ deviceId, label }, index) => ({ id: deviceId, title: label || `Input ${index + 1}` }))
}

/** Why it did not start, in words that say what to do. */
export function refusalWords(error: unknown): string {
  if (!(error instanceof DOMException)) return plainWords(error)
  switch (error.name) {
    case 'NotAllowedError':
      return (
        'The browser was not allowed to listen. Allow the microphone for this page, ' +
        'beside the address, and press Listen; or type what the meter shows.'
      )
    case 'NotFoundError':
    case 'OverconstrainedError':
      return 'There is no such input. Plug the sound card in and press Listen; or bring in a recording.'
    case 'NotReadableError':
      return 'The input is in use by another program. Close that, and press Listen.'
    default:
      return plainWords(error)
  }
}
