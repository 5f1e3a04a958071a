<script setup lang="ts">
import type { StationAnswer } from '#core/judging'
import { findingsOrder, type FindingsRow } from '#core/findings'
import { worstVerdict } from '#core/decision'
import { printClaimW } from '#core/quantity'
import { highestClaimW, type RadioSet, setName, setShortName } from '#core/review'

const store = useReviewStore()
const { set, placeTo } = useReviewRoute()

/** Up to so many radios stand beside each other; of more a few at a time, page by page. */
const ALL_BESIDE = 8
const OF_MORE = 6
const all = computed(() => findingsOrder(store.review?.sets ?? []))
const beside = computed(() => (all.value.length <= ALL_BESIDE ? ALL_BESIDE : OF_MORE))
const pages = computed(() => Math.max(1, Math.ceil(all.value.length / beside.value)))
const page = ref(
  1 +
    Math.floor(
      Math.max(
        0,
        all.value.findIndex(({ id }) => id === set.value?.id),
      ) / beside.value,
    ),
)
watch(pages, now => (page.value = Math.min(page.value, now)))
const shown = computed(() => all.value.slice((page.value - 1) * beside.value, page.value * beside.value))
const shownWords = computed(() => {
  const first = (page.value - 1) * beside.value
  return `Radios ${first + 1} to ${first + shown.value.length} of ${all.value.length}`
})

const { found, share, together, togetherShare } = useFindings(() => shown.value)

const against = ref<'all' | 'limits' | 'claims'>('all')
const rows = computed(() =>
  (found.value?.rows ?? []).filter(row => against.value === 'all' || row.question.against === against.value),
)
const CHOICES = [
  { id: 'all', title: 'Everything' },
  { id: 'limits', title: 'Against limits' },
  { id: 'claims', title: 'Against claims' },
] as const

function worstOf(set: RadioSet) {
  return (
    worstVerdict(
      (found.value?.rows ?? [])
        .flatMap(row => row.answers.filter(({ set: other }) => other.id === set.id))
        .map(({ answer }) => ({ member: answer, verdict: answer.verdict })),
    )?.verdict.state ?? 'not-covered'
  )
}

function subtitle(set: RadioSet): string {
  const claim = highestClaimW(set)
  const power = claim === null ? 'the maker does not say' : `claims ${printClaimW(claim)}`
  return [set.make, set.role === 'control' ? 'control' : '', power].filter(Boolean).join(', ')
}

function target(row: FindingsRow, set: RadioSet, answer: StationAnswer) {
  const place = row.question.stationId
  return answer.governs
    ? placeTo(place, {
        set: set.id,
        step: answer.governs.step.id,
        ...(answer.governs.slotId === 'carrier' ? {} : { slot: answer.governs.slotId }),
      })
    : placeTo(place, { set: set.id })
}
</script>

<template>
  <div class="stack">
    <div class="spread">
      <div>
        <h1>What we can say about these radios</h1>
        <p class="quiet">
          Each cell shows the reading that governs, with its 95 % range. Open it to see what it rests on.
        </p>
      </div>
      <div class="choice" role="group" aria-label="Judged against">
        <button
          v-for="choice in CHOICES"
          :key="choice.id"
          type="button"
          :class="{ here: against === choice.id }"
          :aria-pressed="against === choice.id"
          @click="against = choice.id"
        >
          {{ choice.title }}
        </button>
      </div>
    </div>

    <section v-if="all.length === 0" class="sheet empty stack">
      <h2>Nothing to say yet</h2>
      <p>Add a radio, its claims and your bench; the findings grow with every reading.</p>
      <div class="row"><VBtn color="primary" :to="placeTo('card')">To card and claims</VBtn></div>
    </section>
    <SlicedProgress v-else-if="!found" :share="share" words="Planning" />
    <div v-else class="sheet scroll" tabindex="0" role="region" aria-label="Findings">
      <table class="matrix">
        <thead>
          <tr>
            <th scope="col"><span class="only-read">Question</span></th>
            <th v-for="set in found.sets" :key="set.id" scope="col">
              <NuxtLink :to="placeTo('card', { set: set.id })" :title="setName(set)"
                ><VerdictMark :state="worstOf(set)" /> {{ setShortName(set) }}</NuxtLink
              ><span class="small quiet">{{ subtitle(set) }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <KeyingRow
            v-if="against !== 'claims' && found.keying.length"
            :sets="found.sets"
            :answers="found.keying"
          />
          <tr v-for="row in rows" :key="row.question.id">
            <th scope="row">
              {{ row.question.question }}<span class="small quiet">{{ row.question.detail }}</span>
            </th>
            <td v-for="{ set, answer } in row.answers" :key="set.id">
              <span v-if="answer.gap === 'not-on-set'" class="small quiet absent">{{
                answer.words.toLowerCase()
              }}</span>
              <NuxtLink
                v-else
                :to="target(row, set, answer)"
                class="cell"
                :aria-label="`${setShortName(set)}: ${row.question.question} ${answer.words}. ${answer.detail}`"
              >
                <MarginStrip v-if="answer.verdict.state !== 'observation'" :verdict="answer.verdict" />
                <VerdictWord :state="answer.verdict.state" :words="answer.words" />
                <span v-if="answer.detail" class="small quiet detail">{{ answer.detail }}</span>
                <span v-for="one in answer.each" :key="one.title" class="small each"
                  ><span class="quiet">{{ one.title }}:</span>
                  <VerdictWord :state="one.verdict.state" :words="one.words"
                /></span>
              </NuxtLink>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div v-if="pages > 1" class="row pages" data-testid="findings-pages">
      <span class="small quiet">{{ shownWords }}</span>
      <VPagination v-model="page" :length="pages" :total-visible="7" density="compact" />
    </div>
    <template v-if="found">
      <InTurn><MayIKeyTable :answers="found.keying" /></InTurn>
      <SlicedProgress :share="togetherShare" words="What they say together" />
      <div v-if="together?.length" class="remarks">
        <section v-for="remark in together" :key="remark.id" class="sheet remark">
          <h2>{{ remark.title }}</h2>
          <p>{{ remark.text }}</p>
        </section>
      </div>
      <InTurn v-if="all.length" :turn="2"><WhatIf /></InTurn>
      <InTurn v-if="all.length" :turn="3"><OtherTesters /></InTurn>
    </template>
  </div>
</template>

<style scoped>
.empty {
  padding: 24px;
  max-width: 560px;
}
.matrix {
  border-collapse: collapse;
  width: 100%;
  table-layout: fixed;
  min-width: 900px;
}
.matrix th {
  text-align: left;
  font-weight: 700;
  padding: 10px;
  vertical-align: top;
  line-height: 1.25;
}
.matrix thead th {
  border-bottom: 1px solid var(--line-2);
}
.matrix thead a {
  color: var(--ink);
  text-decoration: none;
}
.matrix thead a:hover {
  text-decoration: underline;
}
.matrix th .small {
  display: block;
  font-weight: 400;
  margin-top: 2px;
}
.matrix th:first-child {
  width: 168px;
}
.matrix tbody tr + tr > * {
  border-top: 1px solid var(--line);
}
.matrix td {
  vertical-align: top;
  padding: 0;
}
.cell {
  display: grid;
  gap: 2px;
  padding: 8px 10px 10px;
  color: inherit;
  text-decoration: none;
  height: 100%;
  align-content: start;
}
.cell:hover {
  background: rgba(var(--v-theme-inside-wash), 0.4);
}
.detail {
  line-height: 1.3;
}
.each {
  display: flex;
  flex-wrap: wrap;
  gap: 0 5px;
  line-height: 1.3;
}
.each :deep(*) {
  font-size: 13px;
}
.absent {
  display: block;
  padding: 12px 10px;
}
.pages {
  justify-content: space-between;
}
.remarks {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 14px;
}
.remark {
  padding: 14px 16px;
  display: grid;
  gap: 6px;
  align-content: start;
}
</style>
