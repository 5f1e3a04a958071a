import { chainIdOf, powerToExpect, type Step } from '#core/step'
import { useIntervalFn } from '@vueuse/core'
import { heatNow } from '#core/plan'
import type { HeaderLamp } from './useLamps'

/** A part this warm gets a lamp. */
const WARM = 0.5
const EVERY_MS = 1000

/** Lamps for what the last key-downs left in radio, pads and load; they go out as things cool. */
export function useHeatLamps(step: Readonly<Ref<Step | null>>) {
  const store = useReviewStore()
  const now = ref(Date.now())
  useIntervalFn(() => {
    now.value = Date.now()
  }, EVERY_MS)

  return computed<HeaderLamp[]>(() => {
    const place = step.value
    const context = store.context
    if (!place || place.work === 'hears' || !context || context.review.keyDowns.length === 0) return []
    const { powerW } = powerToExpect(place.set, place.claim)
    return heatNow(
      {
        set: place.set,
        chainId: chainIdOf(place),
        frequencyHz: place.channel.frequencyHz,
        powerW,
        now: now.value,
      },
      context,
    )
      .filter(({ share }) => share >= WARM)
      .map(({ name, share, leftS }) => ({
        text:
          `${name === 'radio' ? 'Radio' : name} ${Math.round(100 * Math.min(9.99, share))} % ` +
          `warm${leftS < 1 ? ': let it rest' : ''}`,
        severity: leftS < 1 ? ('danger' as const) : ('caution' as const),
      }))
  })
}
