<script setup lang="ts">
import { type Run, runCosts } from '#core/plan'

/** What the order of the run costs in handling, beside walking it radio by radio. */
const { run } = defineProps<{ run: Run }>()
const store = useReviewStore()
const { proposeAgain } = useRunOrder()
const lines = computed(() => {
  const here = runCosts(run.steps)
  const { naive } = run
  return [
    { words: 'chains built', here: here.recablings, naive: naive.recablings },
    { words: 'radios put on a chain', here: here.radioChanges, naive: naive.radioChanges },
    { words: 'knobs turned', here: here.knobTurns, naive: naive.knobTurns },
  ]
})
</script>

<template>
  <section class="sheet panel" aria-label="What the order saves" data-testid="savings">
    <h2>{{ run.ownOrder ? 'Your own order' : 'What this order saves' }}</h2>
    <table class="costs">
      <thead>
        <tr>
          <th><span class="only-read">What</span></th>
          <th class="right">here</th>
          <th class="right">radio by radio</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.words">
          <td>{{ line.words }}</td>
          <td class="right figure">{{ line.here }}</td>
          <td class="right figure quiet">{{ line.naive }}</td>
        </tr>
      </tbody>
    </table>
    <p class="small quiet">
      A chain built anew takes minutes and invites a forgotten offset; a radio swapped takes seconds.
    </p>
    <VBtn v-if="run.ownOrder" size="small" variant="outlined" :disabled="store.readOnly" @click="proposeAgain"
      >Back to the proposed order</VBtn
    >
  </section>
</template>

<style scoped>
.costs {
  width: 100%;
  border-collapse: collapse;
}
.costs th {
  font-weight: 400;
  font-size: 13px;
  color: var(--ink-3);
}
.costs td {
  padding: 1px 0;
}
</style>
