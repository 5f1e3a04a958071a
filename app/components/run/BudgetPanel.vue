<script setup lang="ts">
import { printNumber, printPlusMinus } from '#core/quantity'
import { type Budget, budgetLines } from '#core/uncertainty'

const { budget, of } = defineProps<{ budget: Budget; of: string }>()
const lines = computed(() => budgetLines(budget))
const widest = computed(() => Math.max(...lines.value.map(({ rangeDb }) => rangeDb), 0.001))
</script>

<template>
  <section class="sheet panel" aria-labelledby="budget-title">
    <h2 id="budget-title">What the {{ printPlusMinus(budget.rangeDb) }} is made of</h2>
    <p class="small quiet">{{ of }}. Each line alone, 95 %; together in quadrature.</p>
    <table>
      <thead class="only-read"><tr><th>Contribution</th><th>Share</th><th>± dB</th></tr></thead>
      <tbody>
        <tr v-for="line in lines" :key="line.id">
          <td>{{ line.label }}<span v-if="line.assumed" class="quiet small"> assumed</span></td>
          <td class="bar" aria-hidden="true"><span :style="{ width: `${(line.rangeDb / widest) * 100}%` }" /></td>
          <td class="figure right">{{ printNumber(line.rangeDb, 2) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="small quiet">k = {{ printNumber(budget.coverageFactor, 2) }}{{ Number.isFinite(budget.effectiveDegreesOfFreedom) ? `, ${Math.round(budget.effectiveDegreesOfFreedom)} degrees of freedom` : '' }}</p>
  </section>
</template>

<style scoped>
.panel { padding: 14px 16px; display: grid; grid-template-columns: minmax(0, 1fr); gap: 7px; }
table { width: 100%; border-collapse: collapse; }
td { padding: 3px 0; vertical-align: middle; line-height: 1.25; }
.bar { width: 34%; padding: 0 10px; }
.bar span { display: block; height: 8px; background: var(--spruce); border-radius: 1px; }
.bar { position: relative; }
.right { text-align: right; width: 44px; }
</style>
