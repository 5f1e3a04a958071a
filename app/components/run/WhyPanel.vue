<script setup lang="ts">
import { byTheStandard, limitShort, limitSource } from '#core/judging'
import type { AnyLimit, Judgement } from '#core/step'
import { printDbm } from '#core/quantity'

/**
 * Why the limit is what it is: the clause that governs, what the others would have asked, and each rulebook
 * where there are several.
 */
const {
  limit,
  title,
  carrierWords,
  each,
  probability,
  value = null,
  about = 'harmonic',
} = defineProps<{
  limit: AnyLimit
  title: string
  carrierWords: string
  each: readonly Judgement[]
  probability: number | null
  /** The figure that was judged, in its unit; null where none was. */
  value?: number | null
  about?: 'harmonic' | 'carrier'
}>()

const demands = computed(() => (limit.kind === 'limit' && limit.demands.length > 1 ? limit.demands : []))
/** What standards that decide by themselves say beside the review’s own rule. */
const standards = computed(() =>
  each.flatMap(one => {
    const verdict = byTheStandard(one, value)
    return verdict ? [{ title: one.limit.rulebook.title, verdict }] : []
  }),
)
const percent = computed(() => {
  if (probability === null) return null
  if (probability > 0.9995) return 'more than 99.9 %'
  if (probability < 0.0005) return 'less than 0.1 %'
  return `${Math.min(99.9, Math.max(0.1, 100 * probability)).toFixed(1)} %`
})
</script>

<template>
  <section class="sheet panel" aria-labelledby="why-title">
    <h2 id="why-title">{{ title }}</h2>
    <p>{{ limit.reason }}</p>
    <p v-if="carrierWords" class="small quiet">{{ carrierWords }}</p>
    <table v-if="demands.length" class="small">
      <thead class="only-read">
        <tr>
          <th>What is asked</th>
          <th>Limit</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="demand in demands" :key="demand.words" :class="{ governs: demand.governs }">
          <td>{{ demand.words }}<span v-if="demand.governs"> · governs</span></td>
          <td class="figure right">{{ printDbm(demand.limitDbm, 2) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="percent !== null" class="small">
      {{ about === 'carrier' ? 'The true power keeps to it' : 'The true value complies' }} with
      <strong>{{ percent }}</strong> probability.
    </p>
    <template v-if="each.length > 1">
      <h3>By each rulebook</h3>
      <ul class="small each">
        <li v-for="one in each" :key="one.limit.rulebook.id">
          <span
            >{{ one.limit.rulebook.title
            }}<span v-if="limitShort(one.limit)" class="quiet">, {{ limitShort(one.limit) }}</span></span
          ><VerdictWord :state="one.verdict.state" :words="one.words" />
        </li>
      </ul>
    </template>
    <div v-for="one in standards" :key="one.title" class="small">
      <p>By {{ one.title }} itself: <VerdictWord :state="one.verdict.state" :words="one.verdict.words" /></p>
      <p v-if="one.verdict.tooUncertain" class="quiet">{{ one.verdict.tooUncertain }}</p>
    </div>
    <p class="source">
      {{ [...limitSource(limit)].reverse().join(' · ')
      }}<span v-if="limit.rulebook.owner === 'reviewer'" class="quiet"> · your own rulebook</span
      ><span v-else-if="(limit.kind === 'limit' || limit.kind === 'scalar') && limit.recalled" class="quiet">
        · recalled, confidence {{ limit.confidence }}; check the current text</span
      >
    </p>
  </section>
</template>

<style scoped>
.source {
  color: var(--spruce);
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 3px 0;
  vertical-align: top;
  color: var(--ink-2);
}
.governs td {
  color: var(--ink);
  font-weight: 600;
}
.right {
  text-align: right;
  white-space: nowrap;
  padding-left: 10px;
}
.each {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
.each li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  align-items: baseline;
}
</style>
