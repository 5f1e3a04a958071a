<script setup lang="ts">
import { pageIdle } from '~/composables/pageIdle'
import { plainWords } from '~/errors/plainWords'
import { printHalfWidth, printNumber, printRange } from '#core/quantity'
import { type Budget, budgetLines, improvements, type SimulatedFigures } from '#core/uncertainty'

const TRIALS = 1_000_000
const SEED = 1

/** What a range is made of, in its own unit, what the GUM says beside it, and what would help. */
const { budget, about } = defineProps<{ budget: Budget; about: string }>()
const isDb = computed(() => budget.unit === 'dB')
const half = (width: number) => printHalfWidth(width, budget.unit)
const inList = (width: number) => (isDb.value ? printNumber(width, 2) : half(width).slice(1))
const interval = (ends: { low: number; high: number }) =>
  isDb.value ? printRange(ends) : half((ends.high - ends.low) / 2)
const range = computed(() => interval(budget))
const method = computed(() =>
  budget.method === 'monte-carlo' ? ', simulated: noise may hide the signal' : '',
)
const gumWords = computed(() => {
  const k = `GUM, k = ${printNumber(budget.coverageFactor, 2)}`
  const freedom = budget.effectiveDegreesOfFreedom
  return Number.isFinite(freedom) ? `${k}, ${Math.floor(freedom)} degrees of freedom` : k
})
const lines = computed(() => {
  const all = budgetLines(budget)
  const widest = Math.max(...all.map(line => line.range), Number.MIN_VALUE)
  return all.map(line => ({ ...line, width: `${(line.range / widest) * 100}%`, figure: inList(line.range) }))
})
const help = computed(() =>
  improvements(budget)
    .slice(0, 3)
    .map(one => ({ ...one, figure: isDb.value ? `${inList(one.gain)} dB` : inList(one.gain) })),
)

const simulated = shallowRef<SimulatedFigures | null>(null)
const busy = ref(false)
const problem = ref('')
watch(
  () => JSON.stringify(budget),
  () => {
    simulated.value = null
  },
)

/** Longest that the workers wait for a page that has nothing else to do, ms. */
const WARM_BY_MS = 1000

/** The workers start, and have seen such a budget, before anybody asks. */
async function warmUp(): Promise<void> {
  await pageIdle(WARM_BY_MS)
  const { warmBudgetWorkers } = await import('~/workers/budgetWorker')
  warmBudgetWorkers(toRaw(budget).contributions)
}
// Workers that do not start are told of when they are asked for a figure, not before.
onMounted(() => void warmUp().catch(() => {}))

/** A simulation under way or done, and of which budget. */
let begun: { asked: string; figures: Promise<SimulatedFigures> } | null = null

function figuresOf(asked: string): Promise<SimulatedFigures> {
  if (begun?.asked === asked) return begun.figures
  const mine = (begun = { asked, figures: simulation() })
  // One that failed while the pointer came is tried again when it is asked for.
  mine.figures.catch(() => {
    if (begun === mine) begun = null
  })
  return mine.figures
}

async function simulation(): Promise<SimulatedFigures> {
  const { simulateBudget } = await import('~/workers/budgetWorker')
  return simulateBudget(toRaw(budget).contributions, { trials: TRIALS, seed: SEED })
}

/** Begun while the pointer is still on its way; what goes wrong is told when the figure is asked for. */
function begin(): void {
  figuresOf(JSON.stringify(budget)).catch(() => {})
}

async function simulate(): Promise<void> {
  const asked = JSON.stringify(budget)
  busy.value = true
  try {
    const figures = await figuresOf(asked)
    if (JSON.stringify(budget) === asked) simulated.value = figures
  } catch (error) {
    problem.value = plainWords(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section class="sheet panel" aria-labelledby="budget-title">
    <h2 id="budget-title">What the {{ range }} is made of</h2>
    <p class="small quiet">{{ about }}. Each line’s weight in the 95 % range.</p>
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
          <td class="bar" aria-hidden="true"><span :style="{ width: line.width }" /></td>
          <td class="figure right">{{ line.figure }}</td>
        </tr>
      </tbody>
    </table>
    <dl class="small">
      <div>
        <dt>This budget’s own distribution</dt>
        <dd>{{ range }}{{ method }}</dd>
      </div>
      <div>
        <dt>{{ gumWords }}</dt>
        <dd>{{ half(budget.gumRange) }}</dd>
      </div>
      <div v-if="simulated" data-testid="simulated">
        <dt>Monte Carlo, {{ simulated.trials / 1e6 }} million, shortest</dt>
        <dd>{{ interval(simulated.shortest) }}</dd>
      </div>
    </dl>
    <VBtn
      v-if="!simulated && budget.contributions.length"
      size="small"
      variant="outlined"
      :loading="busy"
      @pointerenter="begin"
      @focus="begin"
      @click="simulate"
      >Check by Monte Carlo</VBtn
    >
    <p v-if="problem" class="small" role="alert">{{ problem }}</p>
    <template v-if="help.length">
      <h3>What would help most</h3>
      <ol class="small help">
        <li v-for="one in help" :key="one.id">
          <span>{{ one.words }}</span><span class="figure">{{ one.figure }}</span>
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
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
