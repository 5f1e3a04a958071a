<script setup lang="ts">
import {
  type HarmonicPeak,
  thinTrace,
  traceAtRadio,
  traceDoubt,
  type TracePeaks,
  type TraceSpur,
} from '#core/format'
import { verdictWithout } from '#core/decision'
import { type LevelRead, parseLevel, printDbm } from '#core/quantity'
import type { TracePoints } from '#core/review'
import {
  carrierForLimit,
  HARMONICS_ID,
  HARMONICS_INSTRUMENTS,
  type Moment,
  MOMENT_TITLES,
  momentOfSlot,
  MOMENTS,
  slotAt,
  type SlotResult,
  spurSlot,
  stepReach,
  suitableChains,
} from '#core/station'

const MOST_DRAWN = 1200

const store = useReviewStore()
const ui = useUiStore()
const route = useRoute()
const run = useStationRun(HARMONICS_ID, () => 'dBm')
const { step, steps, stepIndex, result, checks, unsafe, instrument, set } = run
const { placeTo } = useReviewRoute()
const files = useTraceFiles()

const focusSlotId = ref<string | null>(typeof route.query.slot === 'string' ? route.query.slot : null)
const lastKept = ref<string | null>(null)
const picker = useTemplateRef<HTMLInputElement>('picker')
const record = useTemplateRef<{ focusNote: () => void }>('record')
const dragging = ref(false)

const carrier = computed(() =>
  step.value && run.shownContext.value ? carrierForLimit(step.value, run.shownContext.value) : null,
)
const carrierWords = computed(() =>
  carrier.value ? `Worked out from the ${carrier.value.words.replace(/^by the/, 'power in the')}.` : '',
)
const focus = computed(() => {
  const slots = result.value?.slots ?? []
  const chosen = slots.find(({ slot }) => slot.id === focusSlotId.value)
  if (chosen && (chosen.reading || chosen.limit))
    return chosen.slot.id === 'x1' ? { ...chosen, limit: slots[1]?.limit ?? null } : chosen
  return result.value?.governs ?? slots[1] ?? null
})
/** What the line in the spectrum is called: a figure where it is the same at every harmonic. */
const limitLabel = computed(() => {
  const slots = result.value?.slots ?? []
  const own = slots.some(({ yardstick }) => yardstick?.limit.kind === 'limit')
  const levels = [
    ...new Set(
      slots.flatMap(({ limit, yardstick }) => {
        const shown = yardstick?.limit ?? limit
        return shown?.kind === 'limit' ? [printDbm(shown.limitDbm, 2)] : []
      }),
    ),
  ]
  const figure = levels.length === 1 ? ` ${levels[0]!}` : ' at each harmonic'
  if (levels.length === 0) return ''
  if (own) return `your yardstick${figure}, no figure in law`
  return `limit${figure}`
})

const moment = ref<Moment>('settled')

/** The trace the readings of the moment shown came from; else the latest of the step. */
const traceHead = computed(() => {
  const own =
    store.review?.traces.filter(
      ({ setId, stepId }) => setId === set.value?.id && stepId === step.value?.id,
    ) ?? []
  const used = new Set(
    step.value && store.context
      ? [...store.context.readingsOf(step.value).values()].flatMap(({ slot, source }) =>
          source.kind === 'file' && momentOfSlot(slot) === moment.value ? [source.traceId] : [],
        )
      : [],
  )
  return own.findLast(({ id }) => used.has(id)) ?? own.at(-1) ?? null
})
const thin = shallowRef<TracePoints | null>(null)
watch(
  traceHead,
  async head => {
    thin.value = null
    if (!head) return
    const points = await store.tracePoints(head.id)
    if (points && traceHead.value?.id === head.id) thin.value = thinTrace(points, MOST_DRAWN)
  },
  { immediate: true },
)
const drawnTrace = computed(() => {
  const chain = store.context?.chain(traceHead.value?.chainId ?? null)
  return thin.value && chain
    ? traceAtRadio(thin.value, chain, store.context?.instrument(chain.instrumentId))
    : null
})

/** The harmonics at the moment chosen; spurs that were found stand below the settled ones. */
const shownSlots = computed<SlotResult[]>(() => {
  const slots = result.value?.slots ?? []
  const place = step.value
  const context = run.shownContext.value
  if (!place || !context) return []
  if (moment.value === 'settled') return slots.filter(({ slot }) => momentOfSlot(slot.id) === 'settled')
  return slots
    .filter(({ slot }) => slot.id !== 'x1' && momentOfSlot(slot.id) === 'settled')
    .map(one => {
      const slot = slotAt(one.slot, moment.value)
      const known = slots.find(other => other.slot.id === slot.id)
      if (known) return known
      const reading = context.reading(place.set.id, place.id, slot.id) ?? null
      return {
        ...one,
        slot,
        reading,
        corrected: null,
        verdict: verdictWithout('observation', null),
        words: reading ? 'unkeyed' : 'not measured',
        each: [],
        yardstick: null,
        ratio: null,
        notes: [],
        missing: reading ? null : ('open' as const),
      }
    })
})
const fieldPlace = computed(() =>
  step.value ? { ...step.value, slots: shownSlots.value.map(({ slot }) => slot) } : null,
)

const chains = computed(() => (store.context ? suitableChains(store.context, HARMONICS_INSTRUMENTS) : []))
const kept = (slotId: string) =>
  (step.value && store.context?.reading(step.value.set.id, step.value.id, slotId)) ?? null

function draftOf(slotId: string, value: { text: string; read: LevelRead } | null): void {
  const slot = fieldPlace.value?.slots.find(({ id }) => id === slotId)
  run.draft.value = value && slot ? { slotId, ...value, frequencyHz: slot.frequencyHz } : null
}

function keep(slotId: string, value: { text: string; read: LevelRead }): void {
  const slot = fieldPlace.value?.slots.find(({ id }) => id === slotId)
  const stillHere = document.activeElement?.closest('[data-slot]')?.getAttribute('data-slot') === slotId
  if (
    !slot ||
    !run.keep(
      [{ slotId, ...value, frequencyHz: slot.frequencyHz }],
      `the reading ${value.text} at ${slot.label}`,
    )
  )
    return
  lastKept.value = slotId
  if (stillHere) goOn(slotId)
}

const reachable = computed(
  () =>
    fieldPlace.value?.slots.filter(
      slot => store.context && stepReach(step.value!, slot, store.context).covered,
    ) ?? [],
)

function goOn(slotId: string): void {
  const at = reachable.value.findIndex(({ id }) => id === slotId)
  const next = reachable.value[at + 1]
  if (next) focusField(next.id)
  else if (stepIndex.value < steps.value.length - 1)
    ui.say('All within reach is in. N goes to the next step.')
  else ui.say('All within reach is in. G then F shows the findings.')
}

function goBack(slotId: string): void {
  const at = reachable.value.findIndex(({ id }) => id === slotId)
  const previous = reachable.value[at - 1]
  if (previous) focusField(previous.id)
}

function focusField(slotId: string): void {
  void nextTick(() => document.querySelector<HTMLInputElement>(`[data-slot="${slotId}"] input`)?.focus())
}

function focusNextOpen(): void {
  const open = reachable.value.find(({ id }) => !kept(id)) ?? reachable.value[0]
  if (open) document.querySelector<HTMLInputElement>(`[data-slot="${open.id}"] input`)?.focus()
}

useKeys({
  n: () => run.toStep(1),
  p: () => run.toStep(-1),
  i: () => picker.value?.click(),
  o: event => {
    event.preventDefault()
    record.value?.focusNote()
  },
  r: event => {
    event.preventDefault()
    focusField(lastKept.value ?? focusSlotId.value ?? 'x1')
  },
  ...Object.fromEntries([...'0123456789-−'].map(digit => [digit, focusNextOpen])),
})

function picked(event: Event): void {
  const input = event.target as HTMLInputElement
  void files.bringIn(input.files?.[0])
  input.value = ''
}

function dropped(event: DragEvent): void {
  dragging.value = false
  if (!store.readOnly) void files.bringIn(event.dataTransfer?.files[0])
}

/** What the trace dialog hands over. */
interface TraceTaken {
  peaks: TracePeaks
  resolutionBandwidthHz: number | null
  keepsHighest: boolean
  chosen: HarmonicPeak[]
  spurs: TraceSpur[]
  moment: Moment
}

/** A spur found in a trace becomes a reading in a slot of its own. */
function readingOfSpur(spur: TraceSpur, input: TraceTaken, traceId: string) {
  const text = spur.levelDbm.toFixed(1).replace('-', '−')
  const read = parseLevel(text, { bareUnit: 'dBm' })
  if (!read.ok) return null
  return {
    slotId: slotAt(spurSlot(spur.frequencyHz), input.moment).id,
    text,
    read: { ...read, levelDbm: spur.levelDbm },
    frequencyHz: spur.frequencyHz,
    traceFloorDbm: input.peaks.floorDbm,
    doubt: null,
    source: {
      kind: 'file' as const,
      fileName: files.fileName.value,
      sha256: files.file.value!.sha256,
      traceId,
    },
  }
}

/** A peak from a trace becomes a reading like any other, with its file, its floor and its doubts. */
function readingFrom(peak: HarmonicPeak, input: TraceTaken, traceId: string) {
  const level = peak.peak!
  const text = level.levelDbm.toFixed(Number.isInteger(level.levelDbm * 10) ? 1 : 2).replace('-', '−')
  const read = parseLevel(text, { bareUnit: 'dBm' })
  if (!read.ok) return null
  return {
    slotId: input.moment === 'settled' ? `x${peak.harmonic}` : `x${peak.harmonic}:${input.moment}`,
    text,
    read: { ...read, levelDbm: level.levelDbm },
    frequencyHz: level.frequencyHz,
    traceFloorDbm: input.peaks.floorDbm,
    doubt: traceDoubt(peak, input),
    source: {
      kind: 'file' as const,
      fileName: files.fileName.value,
      sha256: files.file.value!.sha256,
      traceId,
    },
  }
}

async function takeTrace(input: TraceTaken): Promise<void> {
  const file = files.file.value
  const place = step.value
  if (!file || !place?.chainId) return
  const traceId = crypto.randomUUID()
  const points = { frequenciesHz: file.frequenciesHz, levelsDbm: file.levelsDbm }
  try {
    await store.keepTrace(traceId, points)
  } catch (error) {
    ui.sayProblem(error)
    return
  }
  const readings = [
    ...input.chosen.flatMap(peak => readingFrom(peak, input, traceId) ?? []),
    ...input.spurs.flatMap(spur => readingOfSpur(spur, input, traceId) ?? []),
  ]
  run.keep(readings, `${readings.length} peaks from ${files.fileName.value}`, review => {
    review.traces.push({
      id: traceId,
      setId: place.set.id,
      stepId: place.id,
      fileName: files.fileName.value,
      sha256: file.sha256,
      pointCount: points.frequenciesHz.length,
      fromHz: points.frequenciesHz[0] ?? 0,
      toHz: points.frequenciesHz.at(-1) ?? 0,
      resolutionBandwidthHz: input.resolutionBandwidthHz,
      keepsHighest: input.keepsHighest,
      floorDbm: input.peaks.floorDbm,
      chainId: place.chainId!,
      at: new Date().toISOString(),
    })
  })
  ui.say(`${readings.length} peaks from “${files.fileName.value}” are in the table.`)
  files.drop()
}

function assignChain(id: string): void {
  store.change('the chain of a station', draft => {
    const radio = draft.sets.find(other => other.id === set.value?.id)
    if (radio) radio.chainByStation[HARMONICS_ID] = id
  })
}
</script>

<template>
  <div
    v-if="step && result && store.context"
    class="columns"
    :class="{ dragging }"
    @dragover.prevent="dragging = true"
    @dragleave.self="dragging = false"
    @drop.prevent="dropped"
  >
    <div class="stack">
      <StepHead
        :step="step"
        :index="stepIndex"
        :count="steps.length"
        title="Harmonics and spurs"
        @go="by => run.toStep(by)"
      />
      <RadioSettings :step="step" :unsafe="unsafe" />
      <SpectrumPlot
        :slots="result.slots"
        :trace="drawnTrace"
        :limit-label="limitLabel"
        :carrier-hz="step.channel.frequencyHz"
        :reach-hz="instrument?.toHz ?? 1e9"
      />
      <QuestionsList :questions="result.questions" />
      <p v-for="offer in result.offers" :key="offer.id" class="offer" role="note">
        <VerdictMark state="too-close" />
        <span
          >{{ offer.words }}
          <NuxtLink
            :to="{
              ...placeTo('bench'),
              query: { set: step.set.id, ...(step.chainId ? { chain: step.chainId } : {}) },
            }"
            >To the pad test</NuxtLink
          ></span
        >
      </p>
      <div class="row moments">
        <VBtnToggle
          v-model="moment"
          mandatory
          density="compact"
          variant="outlined"
          divided
          aria-label="Which moment"
          ><VBtn v-for="one in MOMENTS" :key="one" :value="one" size="small">{{
            MOMENT_TITLES[one]
          }}</VBtn></VBtnToggle
        >
        <span class="small quiet">{{
          moment === 'settled'
            ? 'After a few seconds of key-down.'
            : moment === 'key-up'
              ? 'The first sweep after keying: some sets are worse then, and the verdict says so.'
              : 'Radio unkeyed: what is there anyway does not count as the radio’s.'
        }}</span>
      </div>
      <section class="sheet table" aria-label="Harmonics of this step">
        <HarmonicsTable
          :key="`${step.id}|${moment}`"
          :step="step"
          :slots="shownSlots"
          :context="store.context"
          :kept="kept"
          :focus-slot-id="focusSlotId"
          :disabled="store.readOnly || !step.chainId"
          @focus-slot="id => (focusSlotId = id)"
          @draft="draftOf"
          @keep="keep"
          @go-on="goOn"
          @go-back="goBack"
        />
        <p v-if="traceHead" class="small quiet tail">
          Trace “{{ traceHead.fileName }}”, {{ traceHead.pointCount }} points,
          {{ traceHead.at.slice(0, 10) }}.
        </p>
      </section>
      <div class="row">
        <VBtn
          variant="outlined"
          :loading="files.busy.value"
          :disabled="store.readOnly || !step.chainId"
          @click="picker?.click()"
          >Bring in a trace</VBtn
        >
        <input
          ref="picker"
          type="file"
          accept=".csv,.txt,.tsv,.dat,text/csv,text/plain"
          class="only-read"
          tabindex="-1"
          aria-label="Trace file"
          data-testid="trace-file"
          @change="picked"
        />
        <VSelect
          class="chain"
          :model-value="step.chainId"
          :items="chains.map(({ id, name }) => ({ value: id, title: name }))"
          label="Through the chain"
          no-data-text="no chain with a spectrum analyser"
          :disabled="store.readOnly"
          @update:model-value="value => value && assignChain(value)"
        />
        <p class="small quiet keys">
          <kbd>Enter</kbd> keep and go on <kbd>Space</kbd> key-down clock <kbd>I</kbd> bring in a trace
          <kbd>N</kbd> next step <kbd>?</kbd> all keys
        </p>
      </div>
      <StepRecord ref="record" :key="`${step.set.id}|${step.id}`" :step="step" :slots="result.slots" />
    </div>
    <StepSide :step="step" :focus="focus" :checks="checks" :unsafe="unsafe" :carrier-words="carrierWords" />
    <TraceDialog
      :band="step.band"
      :file="files.file.value"
      :file-name="files.fileName.value"
      :carrier-hz="step.channel.frequencyHz"
      :rbw-of-instrument-hz="
        instrument?.kind === 'spectrum-analyser' ? instrument.resolutionBandwidthHz : null
      "
      @close="files.drop()"
      @column="files.useColumn"
      @take="takeTrace"
    />
  </div>
  <section v-else-if="steps.length === 0" class="sheet nothing stack">
    <h1>Harmonics and spurs</h1>
    <p v-if="set">
      Nothing is planned yet. Harmonics are measured on the channels ticked for them, at every claimed level:
      put those on the card.
    </p>
    <p v-else>Add a radio first.</p>
    <NuxtLink :to="placeTo('card')">To card and claims</NuxtLink>
  </section>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 292px;
  gap: 20px;
  align-items: start;
}
.table {
  padding: 2px 8px 6px;
}
.tail {
  padding: 6px 8px 0;
}
.moments {
  gap: 6px 14px;
}
.offer {
  display: grid;
  grid-template-columns: 20px 1fr;
  align-items: baseline;
  padding: 8px 14px;
  background: rgb(var(--v-theme-close-wash));
  border: 1px solid var(--line-2);
  border-radius: var(--radius);
}
.chain {
  max-width: 280px;
}
.keys {
  margin-left: auto;
}
.nothing {
  padding: 24px;
  max-width: 560px;
}
.dragging {
  outline: 2px dashed var(--spruce);
  outline-offset: 6px;
  border-radius: var(--radius);
}
a {
  color: var(--spruce);
}
@media (max-width: 1100px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
