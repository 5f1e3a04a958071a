<script setup lang="ts">
import { runKey } from '#core/plan'
import { CARRIER_SLOT } from '#core/station'
import { type Kept, slotOf } from '#core/step'
import type { StationRun } from '~/composables/useStationRun'
import CarrierEntry from './CarrierEntry.vue'
import PowerCurve from './PowerCurve.vue'
import PowerTable from './PowerTable.vue'
import SupplySheet from './SupplySheet.vue'

/** Carrier power: one figure at a time, large; all others of the station below. */
const { run } = defineProps<{ run: StationRun }>()
const store = useReviewStore()

const { step, steps, stepIndex, result, checks, unsafe, station } = run
const entry = useTemplateRef<{ focus: () => void; select: () => void }>('entry')
const record = useTemplateRef<{ focusNote: () => void }>('record')

const carrier = computed(() => (result.value ? (slotOf(result.value, CARRIER_SLOT) ?? null) : null))
const results = computed(() => {
  const context = run.shownContext.value
  return context ? steps.value.map(one => station.evaluate(one, context)) : []
})
const bands = computed(() => {
  const named = new Map(steps.value.map(({ band }) => [band.id, band.name]))
  return [...named].map(([id, name]) => ({
    id,
    name,
    results: results.value.filter(one => one.step.band.id === id),
  }))
})

function keep(kept: Kept): void {
  if (run.keep([kept], `the reading ${kept.text}`)) goOn()
}

function goOn(): void {
  if (!run.toNextOpen()) run.toStep(1)
  refocus()
}

function go(by: number): void {
  run.toStep(by)
  refocus()
}

function refocus(): void {
  void nextTick(() => entry.value?.focus())
}

function retake(): void {
  refocus()
  void nextTick(() => entry.value?.select())
}

const ui = useUiStore()
useStationKeys(run, {
  bringIn: () => ui.say('This station takes no files; type what you read.'),
  retake,
  note: () => record.value?.focusNote(),
  type: () => entry.value?.focus(),
})
</script>

<template>
  <div v-if="step && result && carrier && store.context" class="with-side">
    <div class="stack">
      <StepHead :step="step" :index="stepIndex" :count="steps.length" :title="station.title" @go="go" />
      <RadioSettings :step="step" :unsafe="unsafe" />
      <CarrierEntry
        ref="entry"
        :run="run"
        :step="step"
        :carrier="carrier"
        @keep="keep"
        @go-on="goOn"
        @go-back="go(-1)"
      />
      <LazyLinkRead :run="run" />
      <QuestionsList :questions="result.questions" />
      <SupplySheet :run="run" :step="step" :result="result" />
      <div class="curves">
        <PowerCurve v-for="band in bands" :key="band.id" :results="band.results" :band-name="band.name" />
      </div>
      <StepRecord ref="record" :key="runKey(step)" :step="step" :slots="result.slots" />
      <PowerTable :results="results" :step-id="step.id" />
    </div>
    <StepSide :step="step" :focus="carrier" :checks="checks" :unsafe="unsafe" />
  </div>
</template>

<style scoped>
.curves {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 14px;
}
</style>
