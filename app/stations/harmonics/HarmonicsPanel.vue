<script setup lang="ts">
import { runKey } from '#core/plan'
import { harmonicsAt, type Moment, readsHarmonicsAt } from '#core/station'
import type { NextAt } from '~/composables/useLinkRead'
import { chainIdOf, type Kept, type Slot, stepReach } from '#core/step'
import type { StationRun } from '~/composables/useStationRun'
import type { TraceFileRead } from '~/workers/trace.worker'
import HarmonicsTable from './HarmonicsTable.vue'
import MomentChoice from './MomentChoice.vue'
import SpectrumPlot from './SpectrumPlot.vue'
import StepOffers from './StepOffers.vue'
import TraceTaking from './TraceTaking.vue'
import { useLimitWords } from './useLimitWords'
import { useStepTrace } from './useStepTrace'

const TraceByLink = defineAsyncComponent(() => import('./TraceByLink.vue'))

/** Harmonics and spurs: the spectrum, and each line at the moment chosen. */
const { run } = defineProps<{ run: StationRun }>()
const store = useReviewStore()
const ui = useUiStore()
const route = useRoute()

const { step, steps, stepIndex, result, checks, unsafe, instrument, station } = run
const focusSlotId = ref<string | null>(typeof route.query.slot === 'string' ? route.query.slot : null)
const lastKept = ref<string | null>(null)
const taking = useTemplateRef<{
  pick: () => void
  take: (files: File[]) => void
  takeRead: (read: TraceFileRead, name: string) => void
}>('taking')
const record = useTemplateRef<{ focusNote: () => void }>('record')
const dragging = ref(false)
const moment = ref<Moment>('settled')

const isLinked = useLinkOffer(run)
/** L reads at the moment that is chosen. */
const nextAtMoment: NextAt = (_run, place, context) => readsHarmonicsAt(moment.value, place, context)
const { focus, limitLabel, carrierWords } = useLimitWords(run, focusSlotId)
const { head: traceHead, drawn: drawnTrace } = useStepTrace(run, moment)

/** The harmonics at the moment chosen. */
const shown = computed(() => {
  const context = run.shownContext.value
  return result.value && context ? harmonicsAt(moment.value, result.value, context) : []
})
const slots = computed(() => shown.value.map(({ slot }) => slot))
const kept = (slotId: string) => (step.value && store.context?.readingsOf(step.value).get(slotId)) ?? null
const reachable = computed(() => slots.value.filter(isReachable))
const disabled = computed(() => store.readOnly || !step.value || chainIdOf(step.value) === null)
const offers = useStable(() => result.value?.offers ?? [])

function isReachable(slot: Slot): boolean {
  return store.context !== null && step.value !== null && stepReach(step.value, slot, store.context).covered
}

function keep(value: Kept): void {
  const slot = slots.value.find(({ id }) => id === value.slotId)
  const focused = document.activeElement?.closest('[data-slot]')?.getAttribute('data-slot')
  if (!slot || !run.keep([value], `the reading ${value.text} at ${slot.label}`)) return
  lastKept.value = slot.id
  if (focused === slot.id) goOn(slot.id)
}

function goOn(slotId: string): void {
  const next = reachable.value[indexOf(slotId) + 1]
  if (next) focusField(next.id)
  else if (stepIndex.value < steps.value.length - 1)
    ui.say('All within reach is in. N goes to the next step.')
  else ui.say('All within reach is in. G then F shows the findings.')
}

function goBack(slotId: string): void {
  const previous = reachable.value[indexOf(slotId) - 1]
  if (previous) focusField(previous.id)
}

function indexOf(slotId: string): number {
  return reachable.value.findIndex(({ id }) => id === slotId)
}

function focusField(slotId: string): void {
  void nextTick(() => inputOf(slotId)?.focus())
}

function inputOf(slotId: string): HTMLInputElement | null {
  return document.querySelector<HTMLInputElement>(`[data-slot="${slotId}"] input`)
}

function focusNextOpen(): void {
  const open = reachable.value.find(({ id }) => !kept(id)) ?? reachable.value[0]
  if (open) inputOf(open.id)?.focus()
}

function takeSweep(read: TraceFileRead, name: string): void {
  taking.value?.takeRead(read, name)
}

function dropped(event: DragEvent): void {
  dragging.value = false
  taking.value?.take([...(event.dataTransfer?.files ?? [])])
}

useStationKeys(run, {
  bringIn: () => taking.value?.pick(),
  retake: () => focusField(lastKept.value ?? focusSlotId.value ?? slots.value[0]?.id ?? ''),
  note: () => record.value?.focusNote(),
  type: focusNextOpen,
})
</script>

<template>
  <div
    v-if="step && result && store.context"
    class="with-side"
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
        :title="station.title"
        @go="run.toStep"
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
      <StepOffers :step="step" :offers="offers" :disabled="disabled" />
      <MomentChoice v-model="moment" />
      <section class="sheet table" aria-label="Harmonics of this step">
        <HarmonicsTable
          :key="`${step.id}|${moment}`"
          v-model:focus-slot-id="focusSlotId"
          :slots="shown"
          :kept="kept"
          :reachable="isReachable"
          :disabled="disabled"
          @draft="run.showDraft"
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
        <TraceTaking ref="taking" :run="run" :step="step" />
        <TraceByLink v-if="isLinked" :run="run" :step="step" @sweep="takeSweep" />
        <LazyLinkRead :run="run" :next="nextAtMoment" />
        <ChainChoice :run="run" :step="step" />
        <StationKeysLine takes-files />
      </div>
      <StepRecord ref="record" :key="runKey(step)" :step="step" :slots="result.slots" />
    </div>
    <StepSide :step="step" :focus="focus" :checks="checks" :unsafe="unsafe" :carrier-words="carrierWords" />
  </div>
</template>

<style scoped>
.tail {
  padding: 6px 8px 0;
}
</style>
