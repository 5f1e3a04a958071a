<script setup lang="ts">
import type { BenchCheck } from '#core/chain'
import { limitWords, type SlotResult, type Step } from '#core/station'

/** The right-hand side of a station: clock, reason, budget, checks that are open, cautions. */
const { step, focus, checks, unsafe, carrierWords } = defineProps<{
  step: Step
  focus: SlotResult | null
  checks: BenchCheck[]
  unsafe: boolean
  carrierWords: string
}>()
const { placeTo } = useReviewRoute()
const open = computed(() => checks.filter(({ severity }) => severity === 'danger' || severity === 'caution'))
const probability = computed(() => {
  if (!focus?.limit || (focus.limit.kind !== 'limit' && focus.limit.kind !== 'scalar')) return null
  return (focus.each.find(({ limit }) => limit === focus.limit)?.verdict ?? focus.verdict).probabilityComplies
})
const isCarrier = computed(() => focus?.slot.id === 'carrier')
const budgetOf = computed(() => {
  if (!focus) return ''
  if (isCarrier.value) return 'The carrier'
  return focus.ratio
    ? `${focus.slot.label} against the carrier (dBc), as the limit follows it`
    : `${focus.slot.label} as read`
})
</script>

<template>
  <aside class="side stack" aria-label="Clock, reason and uncertainty">
    <KeyDownClock :key="step.set.id" :step="step" :unsafe="unsafe" />
    <section v-if="open.length" class="sheet panel" data-testid="open-checks">
      <h2>{{ unsafe ? 'Do not key up' : 'Take care' }}</h2>
      <ChecksList :checks="open" />
      <NuxtLink
        :to="{
          ...placeTo('bench'),
          query: { set: step.set.id, ...(step.chainId ? { chain: step.chainId } : {}) },
        }"
        class="small"
        >To the bench check</NuxtLink
      >
    </section>
    <WhyPanel
      v-if="focus?.limit"
      :limit="focus.limit"
      :title="limitWords(focus.limit, isCarrier)"
      :carrier-words="carrierWords"
      :each="focus.each"
      :about="isCarrier ? 'carrier' : 'harmonic'"
      :probability="probability"
    />
    <BudgetPanel v-if="focus?.corrected" :budget="focus.ratio ?? focus.corrected.budget" :of="budgetOf" />
    <BudgetPanel
      v-else-if="
        focus?.figure && focus.verdict.state !== 'observation' && focus.figure.budget.contributions.length
      "
      :budget="focus.figure.budget"
      :of="budgetOf"
      :figure="focus.figure"
    />
    <section v-if="focus?.notes.length" class="sheet panel">
      <h2>How it was worked out</h2>
      <ul class="notes small">
        <li v-for="note in focus.notes" :key="note">{{ note }}</li>
      </ul>
    </section>
    <details class="sheet panel cautions">
      <summary>Cautions</summary>
      <ul class="notes small">
        <li v-for="caution in step.cautions" :key="caution">{{ caution }}</li>
      </ul>
    </details>
    <slot />
  </aside>
</template>

<style scoped>
.panel {
  padding: 14px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 7px;
}
.notes {
  margin: 0;
  padding-left: 18px;
  display: grid;
  gap: 4px;
}
.cautions {
  display: block;
}
.cautions summary {
  cursor: pointer;
  font-weight: 700;
}
.cautions .notes {
  margin-top: 8px;
}
a {
  color: var(--spruce);
}
</style>
