import { type Heard, plainBookFor, readLevel, type SpeechResult } from '#core/link'
import { parseLevel } from '#core/quantity'
import { chainIdOf, isRead, type Kept, seenLevel, type Slot } from '#core/step'
import { virtualBench, virtualLine } from '#core/virtual'
import { plainWords } from '~/errors/plainWords'
import { useLinks } from '~/link/links'
import type { StationRun } from './useStationRun'

/** Power of a simulated radio where its maker says nothing, W. */
const UNCLAIMED_W = 5

/** Reads what a step wants from an instrument that answers: every open level, one after the other. */
export function useLinkRead(run: StationRun) {
  const store = useReviewStore()
  const { links } = useLinks()
  const isReading = ref(false)
  const told = ref('')
  let turn = 0

  const chain = computed(() => {
    const id = run.step.value ? chainIdOf(run.step.value) : null
    return store.review?.chains.find(one => one.id === id) ?? null
  })
  const instrument = computed(() => {
    const id = chain.value?.instrumentId
    return store.review?.instruments.find(one => one.id === id) ?? null
  })
  const link = computed(() => (instrument.value ? (links.value[instrument.value.id] ?? null) : null))
  const own = useOwnBenchStore()
  void own.load()
  const book = computed(() => {
    const chosen = own.bench.phrasebooks.find(({ id }) => id === link.value?.phrasebookId)
    return chosen ?? (instrument.value ? plainBookFor(instrument.value) : null)
  })

  /** Levels of the step that come from the radio and are not read yet. */
  const wanted = computed<Slot[]>(() =>
    (run.result.value?.slots ?? [])
      .filter(one => one.slot.field.as === 'level' && !one.slot.field.guard && !one.slot.optional)
      .filter(one => !isRead(one) && one.state !== 'out-of-reach')
      .map(({ slot }) => slot),
  )
  const isOffered = computed(
    () =>
      link.value !== null && book.value !== null && run.step.value?.work === 'transmits' && hasLevels.value,
  )
  const hasLevels = computed(() => run.step.value?.slots.some(({ field }) => field.as === 'level') ?? false)

  function stop(): void {
    turn += 1
    isReading.value = false
  }

  async function readAll(): Promise<void> {
    if (isReading.value) return stop()
    if (run.unsafe.value)
      return void (told.value = 'A bench check is open: nothing is keyed before it is seen to.')
    if (wanted.value.length === 0)
      return void (told.value = 'Everything this step wants is read. R takes a reading again.')
    isReading.value = true
    const mine = ++turn
    for (const slot of wanted.value) {
      const went = await readOne(slot)
      if (mine !== turn) return
      if (!went) break
      await nextTick()
    }
    isReading.value = false
  }

  /** Reads one level and keeps it at once: what comes after may fail. */
  async function readOne(slot: Slot): Promise<boolean> {
    const [step, way, own, words, asked] = [
      run.step.value,
      chain.value,
      instrument.value,
      book.value,
      link.value,
    ]
    if (!step || !way || !own || !words || !asked) return false
    const keyed = {
      carrierHz: step.channel.frequencyHz,
      claimedW: step.claim.kind === 'watts' ? step.claim.powerW : UNCLAIMED_W,
    }
    try {
      const line = virtualLine(
        virtualBench(asked.seed).instrument(step.set.id, () => ({ chain: way, instrument: own, keyed })),
      )
      const result = await readLevel(line, { book: words, instrument: own, frequencyHz: slot.frequencyHz })
      return keepHeard(slot, result, own.name)
    } catch (error) {
      told.value = `${slot.label}: ${plainWords(error)}`
      return false
    }
  }

  function keepHeard(slot: Slot, result: SpeechResult, name: string): boolean {
    if (result.is !== 'heard') {
      told.value = `${slot.label}: ${whyNot(result)}`
      return false
    }
    const text = levelText(result.heard)
    const read = parseLevel(text, { bareUnit: 'dBm' })
    if (!read.ok) {
      told.value = `${slot.label}: ${read.message}`
      return false
    }
    const kept: Kept = {
      slotId: slot.id,
      text,
      seen: seenLevel(read, { frequencyHz: slot.frequencyHz }),
      source: { kind: 'link', instrument: `${name}, virtual bench` },
    }
    told.value = `${slot.label}: it answered ${result.heard.raw}, kept as ${text}.`
    return run.keep([kept], `${slot.label} read from ${name}`)
  }

  onScopeDispose(stop)
  return { isOffered, isReading: readonly(isReading), told: readonly(told), readAll }
}

/** A level as it was heard, in the unit its phrasebook says. */
function levelText({ values, unit }: Heard): string {
  const [value = Number.NaN] = values
  return unit === 'dBm' ? `${value.toFixed(2)} dBm` : `${Number(value.toPrecision(5))} ${unit}`
}

function whyNot(result: Exclude<SpeechResult, { is: 'heard' }>): string {
  switch (result.is) {
    case 'error':
      return `the instrument says ${result.error.code}, ${result.error.words}.`
    case 'refused':
      return `${result.why}.`
    case 'done':
      return 'it answered nothing.'
  }
}
