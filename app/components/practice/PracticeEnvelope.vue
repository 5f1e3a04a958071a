<script setup lang="ts">
import type { Context } from '#core/context'
import { type Envelope, type EnvelopeRow, openEnvelope } from '#core/practice'
import { printFigure, printNumber, printWatts, wattsFromDbm } from '#core/quantity'
import type { PracticeSession } from '~/practice/session'

/**
 * The envelope: sealed until the reviewer is done; then each range beside the truth, each mistake as caught or
 * missed.
 */
const { session, context } = defineProps<{ session: PracticeSession; context: Context }>()
const isAsking = ref(false)
const kept = computed(() => session.kept.value)
const envelope = computed<Envelope | null>(() =>
  kept.value.result
    ? openEnvelope(session.world, context, { hands: kept.value.hands, plants: session.evening.plants })
    : null,
)
/** Hints are given one planted mistake after the other. */
const hints = computed(() =>
  session.evening.plants.filter(id => kept.value.hints.includes(id)).map(id => ({ id, words: hintOf(id) })),
)
const hasMore = computed(() => hints.value.length < session.evening.plants.length)

function hintOf(id: string): string {
  return mistakesById.get(id)?.hint ?? ''
}

function askHint(): void {
  const next = session.evening.plants.find(id => !kept.value.hints.includes(id))
  if (next) session.keep({ hints: [...kept.value.hints, next] })
}

function open(): void {
  isAsking.value = false
  const opened = openEnvelope(session.world, context, {
    hands: kept.value.hands,
    plants: session.evening.plants,
  })
  const named = (isCaught: boolean) =>
    opened.mistakes.filter(({ caught }) => (caught !== null) === isCaught).map(({ mistake }) => mistake.id)
  session.keep({
    result: {
      ...{ eveningId: session.evening.id, reviewId: kept.value.reviewId, openedAt: new Date().toISOString() },
      ...{ ranges: opened.rows.length, held: opened.held },
      ...{ caught: named(true), missed: named(false), hints: kept.value.hints },
    },
  })
}

/** As it was when the envelope was opened: what is changed afterwards does not count. */
const wasCaught = (id: string) => kept.value.result?.caught.includes(id) ?? false

const figure = ({ unit }: EnvelopeRow, value: number) => {
  if (unit === 'dBm') return value > -30 ? printWatts(wattsFromDbm(value)) : `${printNumber(value, 1)} dBm`
  return printFigure(Number(value.toFixed(2)), unit)
}
const rangeOf = (row: EnvelopeRow) =>
  row.isBound ? `at most ${figure(row, row.high)}` : `${figure(row, row.low)} to ${figure(row, row.high)}`
</script>

<script lang="ts">
import { mistakes } from '#core/practice'

const mistakesById = new Map(mistakes.map(mistake => [mistake.id, mistake]))
</script>

<template>
  <section class="sheet envelope" aria-label="The envelope">
    <h2>The envelope</h2>
    <template v-if="!envelope">
      <p class="quiet">
        Sealed until you say you are done. Inside: what is true of this radio and this bench.
      </p>
      <svg viewBox="0 0 380 250" class="paper" aria-hidden="true">
        <rect x="1" y="1" width="378" height="248" rx="8" />
        <path d="M1 8 190 148 379 8" />
        <circle cx="190" cy="148" r="34" />
        <text x="190" y="157">±</text>
      </svg>
      <ul v-if="hints.length" class="hints">
        <li v-for="hint in hints" :key="hint.id">{{ hint.words }}</li>
      </ul>
      <div class="row">
        <VBtn color="primary" @click="isAsking = true">I am done: open it</VBtn>
        <VBtn v-if="hasMore" variant="text" @click="askHint">A hint (it is noted)</VBtn>
      </div>
      <VDialog v-model="isAsking" max-width="440">
        <div class="sheet ask" role="alertdialog" aria-label="Open the envelope?">
          <h2>Open the envelope?</h2>
          <p>
            What your review says now is what counts. It can be opened once; the evening can be begun anew.
          </p>
          <div class="row end">
            <VBtn variant="text" @click="isAsking = false">Not yet</VBtn>
            <VBtn color="primary" @click="open">Open it</VBtn>
          </div>
        </div>
      </VDialog>
    </template>
    <template v-else>
      <div
        v-for="{ mistake, caught } in envelope.mistakes"
        :key="mistake.id"
        class="planted"
        data-testid="planted"
      >
        <p>
          <VerdictWord
            :state="wasCaught(mistake.id) ? 'inside' : 'outside'"
            :words="wasCaught(mistake.id) ? 'Caught' : 'Missed'"
          />
          {{ mistake.title }}.
        </p>
        <p class="small quiet">
          {{ (wasCaught(mistake.id) && caught) || `What would have shown it: ${mistake.reveals}` }}
        </p>
      </div>
      <p v-if="kept.result?.hints.length" class="small quiet">
        Hints asked for: {{ kept.result.hints.length }}.
      </p>
      <p>
        <strong>{{ kept.result?.held }} of {{ kept.result?.ranges }} ranges hold the truth.</strong>
        <span v-if="envelope.rows.length === 0" class="quiet"> Nothing was read that has a truth.</span>
      </p>
      <div v-if="envelope.rows.length" class="scroll">
        <table class="plain">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col" class="right">Your range</th>
              <th scope="col" class="right">Truth</th>
              <th scope="col">Holds</th>
              <th scope="col">Said / true</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in envelope.rows" :key="`${row.stationId}${row.setName}${row.label}`">
              <th scope="row">{{ row.stationTitle }}, {{ row.setName }}: {{ row.label }}</th>
              <td class="right figure">{{ rangeOf(row) }}</td>
              <td class="right figure">{{ figure(row, row.truth) }}</td>
              <td>
                <VerdictWord :state="row.holds ? 'inside' : 'outside'" :words="row.holds ? 'yes' : 'no'" />
              </td>
              <td :class="{ stop: row.isWrong }">
                {{ row.said.replace('-', ' ') }}<template v-if="row.really"> / {{ row.really }}</template>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </section>
</template>

<style scoped>
.envelope {
  padding: 14px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.paper {
  width: 100%;
  max-width: 300px;
}
.paper rect {
  fill: rgb(var(--v-theme-close-wash));
  stroke: var(--ink);
  stroke-width: 2;
}
.paper path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.paper circle {
  fill: var(--outside);
}
.paper text {
  fill: rgb(var(--v-theme-surface));
  font-size: 26px;
  text-anchor: middle;
}
.hints {
  margin: 0;
  padding-left: 18px;
}
.ask {
  padding: 18px 20px;
  display: grid;
  gap: 12px;
}
.planted {
  border-left: 3px solid var(--line-2);
  padding-left: 10px;
}
</style>
