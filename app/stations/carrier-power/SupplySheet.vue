<script setup lang="ts">
import { efficiency } from '#core/station'
import type { Kept, Slot, Step, StepResult } from '#core/step'
import type { StationRun } from '~/composables/useStationRun'

/** Supply voltage and current while keyed, and the efficiency they give. */
const { run, step, result } = defineProps<{ run: StationRun; step: Step; result: StepResult }>()
const store = useReviewStore()

const rows = computed(() =>
  result.slots.slice(1).map(({ slot }) => ({
    slot,
    unit: slot.field.as === 'figure' ? slot.field.unit : '',
    key: `${step.set.id}|${step.id}|${slot.id}`,
    kept: store.context?.readingsOf(step).get(slot.id) ?? null,
  })),
)
const words = computed(() => {
  const context = run.shownContext.value
  const [carrier] = result.slots
  const share = context && carrier ? efficiency(step, carrier, context) : null
  return share === null
    ? 'volts and amperes give the efficiency'
    : result.slots.find(({ slot }) => slot.kind.what === 'current')?.words
})

function keep(slot: Slot, kept: Kept): void {
  run.keep([kept], `a ${slot.label}`)
}
</script>

<template>
  <section class="sheet supply" aria-label="Supply while keyed">
    <span class="small quiet">Supply while keyed, if wished:</span>
    <label v-for="row in rows" :key="row.key" class="unit">
      <SlotField
        :target="row.slot"
        :reading="row.kept"
        bare-unit="W"
        :label="row.slot.label"
        :disabled="store.readOnly"
        @draft="run.showDraft"
        @keep="keep(row.slot, $event)"
      />
      <span>{{ row.unit }}</span>
    </label>
    <span class="small" data-testid="efficiency">{{ words }}</span>
  </section>
</template>

<style scoped>
.supply {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  padding: 8px 18px;
}
.unit {
  display: flex;
  align-items: center;
  gap: 6px;
}
.unit > div {
  width: 110px;
}
</style>
