import { useNow } from '@vueuse/core'
import { HIGHEST_HARMONIC } from '#core/station'
import type { Chain } from '#core/chain'
import { chainChecks } from '#core/step'
import { useBenchPlace } from './useBenchPlace'

/** The chain in hand at the bench, what it is checked for, and what the checks say. */
export function useBenchChain() {
  const store = useReviewStore()
  const route = useRoute()
  const { set } = useReviewRoute()
  const review = computed(() => store.review!)
  const context = computed(() => store.context!)

  const chainId = ref<string | null>(typeof route.query.chain === 'string' ? route.query.chain : null)
  const chainOf = (wanted: string | null) => review.value.chains.find(({ id }) => id === wanted)
  const chain = computed<Chain | undefined>(
    () => chainOf(chainId.value) ?? chainOf(preferred.value) ?? review.value.chains[0],
  )
  /** The chain the radio on the bench was last given. */
  const preferred = computed(() => {
    const chosen = Object.values(set.value?.chains ?? {}).flatMap(roles => Object.values(roles))
    return chosen.at(-1) ?? null
  })
  const instrument = computed(() => chain.value && context.value.instrument(chain.value.instrumentId))
  /** The chain with the losses that were measured. */
  const standingChain = computed(() => chain.value && context.value.chain(chain.value.id))

  const { place, placeOptions, chosenPlace, carrierHz, expected, limitPlace, limitDbm } = useBenchPlace()

  const now = useNow({ interval: 60_000 })
  const checks = computed(() => {
    if (!standingChain.value) return []
    const { calibrations, settings } = review.value
    const at = {
      ...expected.value,
      carrierHz: carrierHz.value,
      place: limitPlace.value,
      highestHarmonic: instrument.value?.kind === 'spectrum-analyser' ? HIGHEST_HARMONIC : 1,
    }
    const ages = { calibrations, at: now.value.toISOString(), maxAgeDays: settings.calibrationMaxAgeDays }
    return chainChecks(standingChain.value, at, context.value, ages)
  })

  return {
    chainId,
    chain,
    instrument,
    standingChain,
    place,
    placeOptions,
    chosenPlace,
    carrierHz,
    expected,
    limitDbm,
    checks,
  }
}
