<script setup lang="ts">
import { printDb, printNumber, printPlusMinus, printRange } from '#core/quantity'
import { type FigureResult, halfWidthWords } from '#core/station'
import { type Budget, budgetLines, improvements } from '#core/uncertainty'
import type { SimulatedFigures } from '~/workers/budget.worker'

const TRIALS = 1_000_000
const SEED = 1

const {
  budget,
  of,
  figure = null,
} = defineProps<{
  budget: Budget
  of: string
  /** A figure that is no level: its budget is said in its own unit. */
  figure?: FigureResult | null
}>()
const half = (widthDb: number) => (figure ? halfWidthWords(widthDb, figure) : printPlusMinus(widthDb))
const range = computed(() => (figure ? halfWidthWords(budget.rangeDb, figure) : printRange(budget)))
const lines = computed(() => budgetLines(budget))
const widest = computed(() => Math.max(...lines.value.map(({ rangeDb }) => rangeDb), 0.001))
const help = computed(() => improvements(budget).slice(0, 3))

const simulated = shallowRef<SimulatedFigures | null>(null)
const busy = ref(false)
const problem = ref('')
watch(
  () => JSON.stringify(budget),
  () => {
    simulated.value = null
  },
)

async function simulate(): Promise<void> {
  const asked = JSON.stringify(budget)
  busy.value = true
  try {
    const { simulateBudget } = await import('~/workers/budgetWorker')
    const figures = await simulateBudget(toRaw(budget).contributions, {
      trials: TRIALS,
      seed: SEED,
      belowDb: null,
    })
    if (JSON.stringify(budget) === asked) simulated.value = figures
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section class="sheet panel" aria-labelledby="budget-title">
    <h2 id="budget-title">What the {{ range }} is made of</h2>
    <p class="small quiet">{{ of }}. Each line’s weight in the 95 % range.</p>
    <table>
      <thead class="only-read">
        <tr>
          <th>Contribution</th>
          <th>Share</th>
          <th>±</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.id">
          <td>{{ line.label }}<span v-if="line.assumed" class="quiet small"> assumed</span></td>
          <td class="bar" aria-hidden="true">
            <span :style="{ width: `${(line.rangeDb / widest) * 100}%` }" />
          </td>
          <td class="figure right">
            {{ figure ? half(line.rangeDb).slice(1) : printNumber(line.rangeDb, 2) }}
          </td>
        </tr>
      </tbody>
    </table>
    <dl class="small">
      <div>
        <dt>This budget’s own distribution</dt>
        <dd>
          {{ range }}{{ budget.method === 'monte-carlo' ? ', simulated: noise may hide the signal' : '' }}
        </dd>
      </div>
      <div>
        <dt>
          GUM, k = {{ printNumber(budget.coverageFactor, 2)
          }}<template v-if="Number.isFinite(budget.effectiveDegreesOfFreedom)"
            >, {{ Math.floor(budget.effectiveDegreesOfFreedom) }} degrees of freedom</template
          >
        </dt>
        <dd>{{ half(budget.gumRangeDb) }}</dd>
      </div>
      <div v-if="simulated" data-testid="simulated">
        <dt>Monte Carlo, {{ (simulated.trials / 1e6).toFixed(0) }} million, shortest</dt>
        <dd>
          {{
            figure
              ? half((simulated.shortest.highDb - simulated.shortest.lowDb) / 2)
              : printRange(simulated.shortest)
          }}
        </dd>
      </div>
    </dl>
    <VBtn
      v-if="!simulated && budget.contributions.length"
      size="small"
      variant="outlined"
      :loading="busy"
      @click="simulate"
      >Check by Monte Carlo</VBtn
    >
    <p v-if="problem" class="small" role="alert">{{ problem }}</p>
    <template v-if="help.length">
      <h3>What would help most</h3>
      <ol class="small help">
        <li v-for="one in help" :key="one.id">
          <span>{{ one.words }}</span><span class="figure">{{
            figure ? half(one.gainDb).slice(1) : printDb(one.gainDb, 2)
          }}</span>
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.panel {
  padding: 14px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 7px;
  justify-items: start;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 3px 0;
  vertical-align: middle;
  line-height: 1.25;
}
.bar {
  width: 34%;
  padding: 0 10px;
  position: relative;
}
.bar span {
  display: block;
  height: 8px;
  background: var(--spruce);
  border-radius: 1px;
}
.right {
  text-align: right;
  min-width: 44px;
  white-space: nowrap;
}
dl {
  margin: 0;
  width: 100%;
  display: grid;
  gap: 2px;
  color: var(--ink-2);
}
dl div {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}
dd {
  margin: 0;
  font-family: var(--figures);
  white-space: nowrap;
  color: var(--ink);
}
h3 {
  margin-top: 4px;
}
.help {
  margin: 0;
  padding: 0;
  list-style: none;
  width: 100%;
  display: grid;
  gap: 4px;
}
.help li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}
.help .figure {
  white-space: nowrap;
}
</style>
