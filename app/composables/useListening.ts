import type { SinadSettings } from '#core/signal'
import { type ToneLook, type TonePicture, tonePicture } from '~/stations/sensitivity/tonePicture'
import type { Heard, ListenOrder } from '~/workers/listen.worker'
import {
  captureFrom,
  type InputDevice,
  inputDevices,
  type InputFacts,
  openSoundInput,
  refusalWords,
} from './soundInput'

/** Where listening stands. */
export type ListeningState =
  | { kind: 'off' }
  | { kind: 'starting' }
  | ({ kind: 'listening' } & InputFacts)
  | { kind: 'stopped'; words: string }

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
  /** Counts what was asked for: what comes of an earlier asking is given back. */
  let order = 0
  let picture: { canvas: HTMLCanvasElement; look: ToneLook; handed: boolean } | null = null
  let here: TonePicture | null = null
  /** The device that was opened is shown as chosen; that is no new choice. */
  let isOwnChoice = false

  async function listen(): Promise<void> {
    stop()
    session.value++
    const mine = ++order
    state.value = { kind: 'starting' }
    try {
      const opened = await openInput(
        { deviceId: deviceId.value, settings: settings(), channel: channel.value },
        { hear, lost },
      )
      // Somebody stopped, or left, while the microphone was being opened: nobody wants it any more.
      if (mine !== order) return opened.close()
      open = opened
      handOver()
      channels.value = open.channels
      isOwnChoice = deviceId.value !== open.deviceId
      deviceId.value = open.deviceId
      state.value = { kind: 'listening', ...open.facts }
      devices.value = await inputDevices()
    } catch (error) {
      if (mine !== order) return
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
    order += 1
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
  facts: InputFacts
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
  const input = await openSoundInput(deviceId, on.lost)
  const { context, source, close } = input
  try {
    if (context.sampleRate < LEAST_RATE_HZ) throw new Error(rateWords(context.sampleRate))
    const capture = await captureFrom(input, channel)
    const worker = new Worker(new URL('../workers/listen.worker.ts', import.meta.url), { type: 'module' })
    const order: ListenOrder = {
      kind: 'start',
      port: capture.port,
      sampleRateHz: context.sampleRate,
      settings,
    }
    worker.postMessage(order, [capture.port])
    worker.onmessage = ({ data }: MessageEvent<Heard>) => on.hear(data)
    worker.onerror = () => on.lost('The part of the program that listens stopped. Press Listen again.')
    source.connect(capture.node)
    return {
      deviceId: input.deviceId,
      channels: input.channels,
      facts: input.facts,
      choose: capture.choose,
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

function rateWords(sampleRateHz: number): string {
  return (
    `The sound card runs at ${sampleRateHz} samples a second: too few for 300 Hz to 3 kHz. ` +
    'Set it to 44 100 or 48 000.'
  )
}
