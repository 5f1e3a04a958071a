import { useNow } from '@vueuse/core'
import { HIGHEST_HARMONIC } from '#core/station'
import { type Chain } from '#core/chain'
import { printClaimW, printMhz } from '#core/quantity'
import { highestClaimW } from '#core/review'
import { chainChecks, type ExpectedPlace, expectedPlaces, hottestPlace, strictestLimitDbm } from '#core/step'

/** What a chain is drawn for while no card says anything: 5 W in the 2 m band. */
const UNKNOWN = { carrierHz: 146.52e6, powerW: 5 }

const keyOf = ({ band, channel, level }: ExpectedPlace) => `${band.id}:${channel.id}:${level.id}`

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

  const places = computed(() => (set.value ? expectedPlaces(set.value) : []))
  const placeKey = ref<string | null>(null)
  const place = computed(
    () => places.value.find(one => keyOf(one) === placeKey.value) ?? hottestPlace(places.value),
  )
  const placeOptions = computed(() =>
    places.value.map(one => ({
      value: keyOf(one),
      title: `${printMhz(one.channel.frequencyHz)}, ${one.level.name}, ${powerWords(one)}`,
    })),
  )
  const chosenPlace = computed({
    get: () => place.value && keyOf(place.value),
    set: key => {
      placeKey.value = key
    },
  })

  const carrierHz = computed(() => place.value?.channel.frequencyHz ?? UNKNOWN.carrierHz)
  const expected = computed(() => ({
    powerW: place.value?.powerW ?? (set.value && highestClaimW(set.value)) ?? UNKNOWN.powerW,
    powerFrom: place.value?.powerFrom ?? ('assumed' as const),
  }))
  const limitPlace = computed(() => (set.value && place.value ? { set: set.value, ...place.value } : null))
  const limitDbm = computed(
    () => limitPlace.value && strictestLimitDbm(limitPlace.value, expected.value.powerW, context.value),
  )

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

function powerWords({ powerW, powerFrom }: Pick<ExpectedPlace, 'powerW' | 'powerFrom'>): string {
  return `${printClaimW(powerW)} ${powerFrom === 'claim' ? 'claimed' : 'assumed'}`
}
