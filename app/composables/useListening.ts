import { plainWords } from '~/errors/plainWords'
import type { SinadSettings } from '#core/signal'
import { type ToneLook, type TonePicture, tonePicture } from '~/stations/sensitivity/tonePicture'
import type { Heard, ListenOrder } from '~/workers/listen.worker'
import captureUrl from '~/workers/capture.worklet.ts?worker&url'

/** Where listening stands. */
export type ListeningState =
  | { kind: 'off' }
  | { kind: 'starting' }
  | { kind: 'listening'; device: string; sampleRateHz: number; remarks: string[] }
  | { kind: 'stopped'; words: string }

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

/** Below this rate the band up to 3 kHz is not whole, Hz. */
const LEAST_RATE_HZ = 8_000

/**
 * Listens to the sound card: an audio worklet hands what it delivers to a worker, which reads SINAD five times
 * a second. The page only shows what comes.
 */
export function useListening(settings: () => SinadSettings) {
  const state = shallowRef<ListeningState>({ kind: 'off' })
  const heard = shallowRef<Heard | null>(null)
  /** Counts up with every Listen: a canvas is handed to a worker once and for all. */
  const session = ref(0)
  const devices = shallowRef<InputDevice[]>([])
  const deviceId = ref('')
  const channel = ref(0)
  const channels = ref(1)
  let open: OpenInput | null = null
  let picture: { canvas: HTMLCanvasElement; look: ToneLook; handed: boolean } | null = null
  let here: TonePicture | null = null
  /** The device that was opened is shown as chosen; that is no new choice. */
  let isOwnChoice = false

  async function listen(): Promise<void> {
    stop()
    session.value++
    state.value = { kind: 'starting' }
    try {
      open = await openInput(
        { deviceId: deviceId.value, settings: settings(), channel: channel.value },
        { hear, lost },
      )
      handOver()
      channels.value = open.channels
      isOwnChoice = deviceId.value !== open.deviceId
      deviceId.value = open.deviceId
      state.value = { kind: 'listening', ...open.facts }
      devices.value = await inputDevices()
    } catch (error) {
      open = null
      state.value = { kind: 'stopped', words: refusalWords(error) }
    }
  }

  function hear(value: Heard): void {
    heard.value = value
    here?.draw(value)
  }

  /** Where what is heard is drawn, by the worker that hears it. */
  function drawOn(canvas: HTMLCanvasElement, look: ToneLook): void {
    picture = { canvas, look, handed: false }
    handOver()
  }

  function drawAs(look: ToneLook): void {
    if (!picture) return
    picture.look = look
    if (here) here.look(look)
    else if (picture.handed) open?.tell({ kind: 'look', look })
  }

  function handOver(): void {
    if (!open || !picture || picture.handed) return
    picture.handed = true
    const { canvas, look } = picture
    if (!('transferControlToOffscreen' in canvas)) return drawHere(canvas, look)
    const handed = canvas.transferControlToOffscreen()
    open.tell({ kind: 'picture', canvas: handed, look }, [handed])
  }

  /** A browser whose canvas stays with the page draws on the page. */
  function drawHere(canvas: HTMLCanvasElement, look: ToneLook): void {
    const context = canvas.getContext('2d')
    here = context && tonePicture(context, look, (width, height) => Object.assign(canvas, { width, height }))
  }

  function lost(words: string): void {
    stop()
    state.value = { kind: 'stopped', words }
  }

  function stop(): void {
    open?.close()
    open = null
    heard.value = null
    picture = here = null
    if (state.value.kind !== 'stopped') state.value = { kind: 'off' }
  }

  watch(deviceId, () => {
    if (!isOwnChoice && state.value.kind === 'listening') void listen()
    isOwnChoice = false
  })
  watch(channel, value => open?.choose(value))
  watch(settings, value => open?.tell({ kind: 'settings', settings: value }), { deep: true })
  onBeforeUnmount(stop)

  return { state, heard, session, devices, deviceId, channel, channels, listen, stop, drawOn, drawAs }
}

interface OpenInput {
  deviceId: string
  channels: number
  facts: { device: string; sampleRateHz: number; remarks: string[] }
  choose: (channel: number) => void
  tell: (order: ListenOrder, handed?: Transferable[]) => void
  close: () => void
}

interface Wanted {
  deviceId: string
  settings: SinadSettings
  channel: number
}

async function openInput(
  { deviceId, settings, channel }: Wanted,
  on: { hear: (heard: Heard) => void; lost: (words: string) => void },
): Promise<OpenInput> {
  if (!navigator.mediaDevices) throw new Error(NO_MEDIA)
  const stream = await navigator.mediaDevices.getUserMedia({
    audio: { ...PLAIN, ...(deviceId ? { deviceId: { exact: deviceId } } : {}) },
  })
  const [track] = stream.getAudioTracks()
  if (!track) throw new Error(NO_MEDIA)
  const context = new AudioContext({ latencyHint: 'interactive' })
  const close = () => {
    track.onended = null
    stream.getTracks().forEach(one => one.stop())
    void context.close()
  }
  try {
    if (context.sampleRate < LEAST_RATE_HZ) throw new Error(rateWords(context.sampleRate))
    await context.audioWorklet.addModule(captureUrl)
    const worker = new Worker(new URL('../workers/listen.worker.ts', import.meta.url), { type: 'module' })
    const node = new AudioWorkletNode(context, 'capture', { numberOfInputs: 1, numberOfOutputs: 0 })
    const { port1, port2 } = new MessageChannel()
    node.port.postMessage({ to: port1, channel }, [port1])
    const order: ListenOrder = { kind: 'start', port: port2, sampleRateHz: context.sampleRate, settings }
    worker.postMessage(order, [port2])
    worker.onmessage = ({ data }: MessageEvent<Heard>) => on.hear(data)
    worker.onerror = () => on.lost('The part of the program that listens stopped. Press Listen again.')
    track.onended = () => on.lost(UNPLUGGED)
    context.createMediaStreamSource(stream).connect(node)
    return {
      deviceId: track.getSettings().deviceId ?? '',
      channels: track.getSettings().channelCount ?? 1,
      facts: factsOf(track, context.sampleRate),
      choose: value => node.port.postMessage({ channel: value }),
      tell: (value, handed = []) => worker.postMessage(value, handed),
      close: () => {
        worker.terminate()
        close()
      },
    }
  } catch (error) {
    close()
    throw error
  }
}

const NO_MEDIA =
  'This browser gives no sound to a page at this address. Over https, or on this machine itself, it does.'
const UNPLUGGED =
  'The device was unplugged, or taken by another program. What was kept stands; plug it in and press Listen.'

function rateWords(sampleRateHz: number): string {
  return `The sound card runs at ${sampleRateHz} samples a second: too few for 300 Hz to 3 kHz. Set it to 44 100 or 48 000.`
}

/** What the track itself reports: whether the browser really leaves the sound alone. */
function factsOf(track: MediaStreamTrack, sampleRateHz: number): OpenInput['facts'] {
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

async function inputDevices(): Promise<InputDevice[]> {
  const all = await navigator.mediaDevices.enumerateDevices()
  return all
    .filter(({ kind }) => kind === 'audioinput')
    .map(({ deviceId, label }, index) => ({ id: deviceId, title: label || `Input ${index + 1}` }))
}

/** Why it did not start, in words that say what to do. */
function refusalWords(error: unknown): string {
  if (!(error instanceof DOMException)) return plainWords(error)
  switch (error.name) {
    case 'NotAllowedError':
      return 'The browser was not allowed to listen. Allow the microphone for this page, beside the address, and press Listen; or type what the meter shows.'
    case 'NotFoundError':
    case 'OverconstrainedError':
      return 'There is no such input. Plug the sound card in and press Listen; or bring in a recording.'
    case 'NotReadableError':
      return 'The input is in use by another program. Close that, and press Listen.'
    default:
      return plainWords(error)
  }
}
