<script setup lang="ts">
import { type DecisionRule, DECISION_RULES, decisionRuleWords } from '#core/decision'
import { printDb } from '#core/quantity'

/** How a reading is decided, and what a claim may miss. */
const store = useReviewStore()
const { settings, change } = useJudgedBy()

const TOLERANCES = [
  { value: 0, title: 'None: the claim is the claim' },
  { value: 1.5, title: '±1.5 dB, as EN 300 086 allows' },
]
const toleranceItems = computed(() => {
  const now = settings.value.claimToleranceDb
  if (TOLERANCES.some(({ value }) => value === now)) return TOLERANCES
  return [...TOLERANCES, { value: now, title: `Own: ${printDb(now)}` }]
})
const rules = DECISION_RULES.map(rule => ({ rule, ...decisionRuleWords[rule] }))

function keepRule(rule: DecisionRule): void {
  change('the decision rule', draft => {
    draft.decisionRule = rule
  })
}

function keepTolerance(toleranceDb: number | null): void {
  change('the tolerance on claims', draft => {
    draft.claimToleranceDb = toleranceDb ?? 0
  })
}
</script>

<template>
  <section class="sheet block" aria-labelledby="decision">
    <h2 id="decision">How a reading is decided</h2>
    <div class="rules" role="radiogroup" aria-labelledby="decision">
      <label v-for="one in rules" :key="one.rule" class="rule">
        <input
          class="tick"
          type="radio"
          name="decision-rule"
          :value="one.rule"
          :checked="settings.decisionRule === one.rule"
          :disabled="store.readOnly"
          @change="keepRule(one.rule)"
        />
        <span
          ><strong>{{ one.title }}</strong
          ><span class="small">{{ one.text }}</span
          ><span class="small quiet">{{ one.promise }} {{ one.source }}.</span></span
        >
      </label>
    </div>
    <div class="tolerance">
      <VSelect
        :model-value="settings.claimToleranceDb"
        :items="toleranceItems"
        label="Tolerance on claimed power"
        :disabled="store.readOnly"
        @update:model-value="keepTolerance"
      />
      <NumberField
        :model-value="settings.claimToleranceDb"
        label="or your own"
        unit="dB"
        :min="0"
        :max="20"
        :disabled="store.readOnly"
        @update:model-value="keepTolerance"
      />
    </div>
  </section>
</template>

<style scoped>
.rules {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 380px), 1fr));
  gap: 12px 24px;
}
.rule {
  display: flex;
  gap: 10px;
  align-items: baseline;
  cursor: pointer;
}
.rule span {
  display: grid;
  gap: 2px;
}
.tolerance {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 320px));
  gap: 12px;
}
@media (max-width: 560px) {
  .tolerance {
    grid-template-columns: 1fr;
  }
}
</style>
