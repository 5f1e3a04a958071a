import { cameraChannel, type CameraMessage } from '~/camera/cameraChannel'
import { type CameraFigure, cameraFigure } from '~/camera/cameraFigure'
import type { SlotResult, Step } from '#core/step'

/** Shows the figure in hand to the camera's window, live, and opens that window. */
export function useCameraFeed(inHand: () => { step: Step; focus: SlotResult | null }) {
  const figure = computed<CameraFigure | null>(() => {
    const { step, focus } = inHand()
    return focus && cameraFigure(step, focus)
  })
  let channel: BroadcastChannel | null = null

  function send(): void {
    if (figure.value)
      channel?.postMessage({
        is: 'figure',
        figure: JSON.parse(JSON.stringify(figure.value)) as CameraFigure,
      } satisfies CameraMessage)
  }

  onMounted(() => {
    channel = cameraChannel()
    channel.addEventListener('message', ({ data }: MessageEvent<CameraMessage>) => {
      if (data.is === 'hello') send()
    })
    send()
  })
  watch(figure, send)
  onBeforeUnmount(() => {
    channel?.postMessage({ is: 'gone' } satisfies CameraMessage)
    channel?.close()
  })

  /** One window, brought to the front where it is open already. */
  function open(): void {
    window.open('/camera', 'rigorous-meter-camera', 'popup,width=1280,height=720')
  }
  return { open }
}
