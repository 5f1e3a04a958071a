import { pinsOf } from '#core/chain'
import { type LevelRead, type LevelUnit } from '#core/quantity'
import { readingHistory, type Reading, type ReadingDoubt, type ReadingSource } from '#core/review'
import { stationById, stationContext, type Step, type StationId } from '#core/station'
import { firstOpen } from './useCurrentChecks'

/** A reading about to be kept. */
export interface ReadingInput {
  slotId: string
  text: string
  read: LevelRead
  frequencyHz: number
  traceFloorDbm?: number | null
  doubt?: ReadingDoubt | null
  source?: ReadingSource
}

/** One station of one radio: its steps, the step in hand, what it came to, and keeping readings. */
export function useStationRun(stationId: StationId, bareUnitFor: (step: Step) => LevelUnit) {
  const store = useReviewStore()
  const { set, stepId, chooseStep } = useReviewRoute()
  const station = stationById(stationId)

  const steps = computed(() => (store.context && set.value ? station.plan(set.value, store.context) : []))
  const step = computed(() => steps.value.find(({ id }) => id === stepId.value) ?? null)
  const stepIndex = computed(() => steps.value.findIndex(({ id }) => id === step.value?.id))

  watchEffect(() => {
    const context = store.context
    if (!context || step.value || steps.value.length === 0) return
    chooseStep((firstOpen(steps.value, context) ?? steps.value[0]!).id)
  })

  const draft = shallowRef<ReadingInput | null>(null)
  watch(step, () => { draft.value = null })

  /** The review as it would be with the reading being typed. */
  const shownContext = computed(() => {
    const review = store.review
    if (!review || !store.context) return null
    const reading = draft.value && step.value && toReading(step.value, draft.value, 'draft')
    return reading ? stationContext({ ...review, readings: [...review.readings, reading] }, store.shared) : store.context
  })
  const result = computed(() => (step.value && shownContext.value ? station.evaluate(step.value, shownContext.value) : null))
  const results = computed(() => (shownContext.value ? steps.value.map(one => station.evaluate(one, shownContext.value!)) : []))
  const checks = computed(() => (step.value && store.context ? station.checks(step.value, store.context) : []))
  const unsafe = computed(() => checks.value.some(({ severity }) => severity === 'danger'))
  const bareUnit = computed<LevelUnit>(() => (step.value ? bareUnitFor(step.value) : 'dBm'))
  const instrument = computed(() => {
    const chain = store.context?.chain(step.value?.chainId ?? null)
    return chain && store.context?.instrument(chain.instrumentId)
  })

  function toReading(place: Step, input: ReadingInput, id: string): Reading | null {
    const chain = store.context?.chain(place.chainId)
    if (!chain || !store.review) return null
    const before = readingHistory(store.review, { setId: place.set.id, stepId: place.id, slot: input.slotId }).at(-1)
    return {
      id, setId: place.set.id, stationId, stepId: place.id, slot: input.slotId, text: input.text, value: input.read.value, unit: input.read.unit,
      levelDbm: input.read.levelDbm, resolutionDb: input.read.resolutionDb, isUpperBound: input.read.isUpperBound, frequencyHz: input.frequencyHz,
      traceFloorDbm: input.traceFloorDbm ?? null, doubt: input.doubt ?? null, instrumentId: chain.instrumentId, chainId: chain.id, chainRevision: chain.revision, calibrationIds: pinsOf(chain), repeatsDbm: input.read.repeatsDbm,
      supply: place.set.supplyNow, at: new Date().toISOString(), source: input.source ?? { kind: 'typed' }, supersedes: before?.id ?? null,
    }
  }

  /** Keeps readings of the step in hand as one undoable change. */
  function keep(inputs: ReadingInput[], label: string, alongside?: (draft: NonNullable<typeof store.review>) => void): boolean {
    const place = step.value
    if (!place) return false
    const readings = inputs.flatMap(input => toReading(place, input, crypto.randomUUID()) ?? [])
    draft.value = null
    return store.change(label, (review) => {
      review.readings.push(...readings)
      alongside?.(review)
    })
  }

  function toStep(offset: number): void {
    const next = steps.value[stepIndex.value + offset]
    if (next) chooseStep(next.id)
  }

  function toNextOpen(): boolean {
    const context = store.context
    if (!context) return false
    const next = firstOpen(steps.value.slice(stepIndex.value + 1), context) ?? firstOpen(steps.value, context)
    if (!next || next.id === step.value?.id) return false
    chooseStep(next.id)
    return true
  }

  return { station, set, steps, step, stepIndex, draft, result, results, checks, unsafe, bareUnit, instrument, shownContext, keep, toStep, toNextOpen, chooseStep }
}
