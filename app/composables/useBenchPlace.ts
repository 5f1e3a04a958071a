import { printClaimW, printMhz } from '#core/quantity'
import { highestClaimW } from '#core/review'
import { type ExpectedPlace, expectedPlaces, hottestPlace, strictestLimitDbm } from '#core/step'

/** What a chain is drawn for while no card says anything: 5 W in the 2 m band. */
const UNKNOWN = { carrierHz: 146.52e6, powerW: 5 }

const keyOf = ({ band, channel, level }: ExpectedPlace) => `${band.id}:${channel.id}:${level.id}`

/** The channel and level of the radio on the bench that a chain is checked for, and its strictest limit. */
export function useBenchPlace() {
  const store = useReviewStore()
  const { set } = useReviewRoute()
  const context = computed(() => store.context!)

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

  return { place, placeOptions, chosenPlace, carrierHz, expected, limitPlace, limitDbm }
}

function powerWords({ powerW, powerFrom }: Pick<ExpectedPlace, 'powerW' | 'powerFrom'>): string {
  return `${printClaimW(powerW)} ${powerFrom === 'claim' ? 'claimed' : 'assumed'}`
}
