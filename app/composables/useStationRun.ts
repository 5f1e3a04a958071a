import { pinsOf } from '#core/chain'
import { type LevelRead, type LevelUnit } from '#core/quantity'
import {
  type FigureReading,
  type FigureUnit,
  readingHistory,
  type Reading,
  type ReadingDoubt,
  type ReadingSource,
} from '#core/review'
import { readWith, stationById, stationContext, type Step, type StationId } from '#core/station'
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

/** A figure about to be kept. */
export interface FigureInput {
  slotId: string
  text: string
  value: number
  unit: FigureUnit
  resolution: number
  isUpperBound?: boolean
  standardUncertainty?: number
  noiseAdds?: number
  method?: string
  source?: ReadingSource
}

/** What is kept in one go: levels, figures, or both. */
export interface Kept {
  levels?: ReadingInput[]
  figures?: FigureInput[]
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
  const draftFigure = shallowRef<FigureInput | null>(null)
  watch(step, () => {
    draft.value = null
    draftFigure.value = null
  })

  /** The review as it would be with the reading being typed. */
  const shownContext = computed(() => {
    const review = store.review
    if (!review || !store.context) return null
    const reading = draft.value && step.value && toReading(step.value, draft.value, 'draft')
    const figure = draftFigure.value && step.value && toFigure(step.value, draftFigure.value, 'draft')
    if (!reading && !figure) return store.context
    return stationContext(
      {
        ...review,
        readings: reading ? [...review.readings, reading] : review.readings,
        figures: figure ? [...review.figures, figure] : review.figures,
      },
      store.shared,
    )
  })
  const result = computed(() =>
    step.value && shownContext.value ? station.evaluate(step.value, shownContext.value) : null,
  )
  const results = computed(() =>
    shownContext.value ? steps.value.map(one => station.evaluate(one, shownContext.value!)) : [],
  )
  const checks = computed(() =>
    step.value && store.context ? station.checks(step.value, store.context) : [],
  )
  const unsafe = computed(() => checks.value.some(({ severity }) => severity === 'danger'))
  const bareUnit = computed<LevelUnit>(() => (step.value ? bareUnitFor(step.value) : 'dBm'))
  const instrument = computed(() => {
    const chain = store.context?.chain(step.value?.chainId ?? null)
    return chain && store.context?.instrument(chain.instrumentId)
  })

  function toReading(place: Step, input: ReadingInput, id: string): Reading | null {
    const chain = store.context?.chain(place.chainId)
    if (!chain || !store.review) return null
    return {
      ...takenNow(place, input, id),
      text: input.text,
      value: input.read.value,
      unit: input.read.unit,
      levelDbm: input.read.levelDbm,
      resolutionDb: input.read.resolutionDb,
      isUpperBound: input.read.isUpperBound,
      frequencyHz: input.frequencyHz,
      traceFloorDbm: input.traceFloorDbm ?? null,
      doubt: input.doubt ?? null,
      instrumentId: chain.instrumentId,
      chainId: chain.id,
      chainRevision: chain.revision,
      calibrationIds: pinsOf(chain),
      repeatsDbm: input.read.repeatsDbm,
    }
  }

  function toFigure(place: Step, input: FigureInput, id: string): FigureReading | null {
    if (!store.review || !store.context) return null
    const { slotId: _slot, source: _source, ...seen } = input
    return {
      ...takenNow(place, input, id),
      isUpperBound: false,
      standardUncertainty: 0,
      noiseAdds: 0,
      method: '',
      ...seen,
      ...readWith(place, input.unit, store.context),
    }
  }

  /** Where it belongs and under what it is taken: set, step, supply, temperature, who, when. */
  function takenNow(place: Step, input: { slotId: string; source?: ReadingSource }, id: string) {
    const review = store.review!
    const before = readingHistory(review, { setId: place.set.id, stepId: place.id, slot: input.slotId }).at(
      -1,
    )
    return {
      id,
      setId: place.set.id,
      stationId,
      stepId: place.id,
      slot: input.slotId,
      supply: place.set.supplyNow,
      ambientC: review.settings.ambientC,
      who: review.reviewer,
      at: new Date().toISOString(),
      source: input.source ?? { kind: 'typed' as const },
      supersedes: before?.id ?? null,
    }
  }

  /** Shows what a level or figure being typed would come to. */
  function show(shown: { level?: ReadingInput | null; figure?: FigureInput | null }): void {
    if (shown.level !== undefined) draft.value = shown.level
    if (shown.figure !== undefined) draftFigure.value = shown.figure
  }

  /** Keeps readings of the step in hand as one undoable change. */
  function keep(
    inputs: ReadingInput[],
    label: string,
    alongside?: (draft: NonNullable<typeof store.review>) => void,
  ): boolean {
    return keepAll({ levels: inputs }, label, alongside)
  }

  /** Keeps levels and figures of the step in hand as one undoable change. */
  function keepAll(
    { levels = [], figures = [] }: Kept,
    label: string,
    alongside?: (draft: NonNullable<typeof store.review>) => void,
  ): boolean {
    const place = step.value
    if (!place) return false
    const readings = levels.flatMap(input => toReading(place, input, crypto.randomUUID()) ?? [])
    const stated = figures.flatMap(input => toFigure(place, input, crypto.randomUUID()) ?? [])
    draft.value = null
    draftFigure.value = null
    return store.change(label, review => {
      review.readings.push(...readings)
      review.figures.push(...stated)
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

  return {
    stationId,
    station,
    set,
    steps,
    step,
    stepIndex,
    draft,
    draftFigure,
    show,
    keepAll,
    result,
    results,
    checks,
    unsafe,
    bareUnit,
    instrument,
    shownContext,
    keep,
    toStep,
    toNextOpen,
    chooseStep,
  }
}

export type StationRun = ReturnType<typeof useStationRun>
