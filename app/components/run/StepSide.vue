<script setup lang="ts">
import type { BenchCheck } from '#core/chain'
import { hasFigure, limitWords } from '#core/judging'
import type { Coaching } from '#core/station'
import { chainIdOf, type SlotResult, type Step } from '#core/step'

/** The right-hand side of a station: clock, reason, budget, checks that are open, cautions. */
const {
  step,
  focus,
  checks,
  unsafe,
  carrierWords = '',
  coaching = null,
} = defineProps<{
  step: Step
  focus: SlotResult | null
  checks: BenchCheck[]
  unsafe: boolean
  carrierWords?: string
  coaching?: Coaching | null
}>()
const { placeTo } = useReviewRoute()
const open = computed(() => checks.filter(({ severity }) => severity === 'danger' || severity === 'caution'))
const benchAt = computed(() => ({
  ...placeTo('bench'),
  query: { set: step.set.id, chain: chainIdOf(step) ?? undefined },
}))
const probability = computed(() => {
  const limit = focus?.limit
  if (!focus || !limit || !hasFigure(limit)) return null
  return (focus.each.find(one => one.limit === limit)?.verdict ?? focus.verdict).probabilityComplies
})
const about = computed(() => (focus?.slot.kind.is === 'carrier' ? 'carrier' : 'harmonic'))
const limitTitle = computed(() => (focus?.limit ? limitWords(focus.limit, about.value === 'carrier') : ''))
/** The budget that is explained: of the margin where the limit follows the carrier, else the figure’s own. */
const budget = computed(() => {
  const found = focus?.found
  if (!focus || !found) return null
  if (found.path) return focus.ratio ?? found.budget
  return focus.verdict.state === 'observation' || found.budget.contributions.length === 0
    ? null
    : found.budget
})
const budgetOf = computed(() => {
  if (!focus) return ''
  if (about.value === 'carrier') return 'The carrier'
  return focus.ratio
    ? `${focus.slot.label} against the carrier (dBc), as the limit follows it`
    : `${focus.slot.label} as read`
})
</script>

<template>
  <aside class="side stack" aria-label="Clock, reason and uncertainty">
    <CoachSheet v-if="coaching" :coaching="coaching" />
    <KeyDownClock
      v-if="step.work === 'transmits' && step.keyed"
      :key="step.set.id"
      :step="step"
      :unsafe="unsafe"
    />
    <slot name="top" />
    <section v-if="open.length" class="sheet panel" data-testid="open-checks">
      <h2>{{ unsafe && step.work === 'transmits' ? 'Do not key up' : 'Take care' }}</h2>
      <ChecksList :checks="open" />
      <NuxtLink :to="benchAt" class="small">To the bench check</NuxtLink>
    </section>
    <WhyPanel
      v-if="focus?.limit"
      :limit="focus.limit"
      :title="limitTitle"
      :carrier-words="carrierWords"
      :each="focus.each"
      :about="about"
      :probability="probability"
      :value="focus.reading?.seen.as === 'figure' ? focus.reading.seen.value : null"
    />
    <BudgetPanel v-if="budget" :budget="budget" :about="budgetOf" />
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
    <CameraButton :step="step" :focus="focus" />
  </aside>
</template>

<style scoped>
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
