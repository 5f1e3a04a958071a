<script setup lang="ts">
import { clauseWords, evaluateLimit, rulebookById, rulebooks, yardsticks } from '#core/rules'
import { dbmFromWatts, parseFrequency, parseLevel, printDb, printDbm, printMhz, printWatts, wattsFromDbm } from '#core/quantity'
import type { ReviewSettings } from '#core/review'

const store = useReviewStore()
const settings = computed(() => store.review!.settings)
const locked = computed(() => store.readOnly)

function change(label: string, recipe: (draft: ReviewSettings) => void): void {
  store.change(label, draft => recipe(draft.settings))
}

const TOLERANCES = [
  { value: 0, title: 'None: the claim is the claim' },
  { value: 1.5, title: '±1.5 dB, as EN 300 086 allows' },
]
const ownTolerance = computed(() => !TOLERANCES.some(({ value }) => value === settings.value.claimToleranceDb))
const toleranceItems = computed(() => [...TOLERANCES, ...(ownTolerance.value ? [{ value: settings.value.claimToleranceDb, title: `Own: ${printDb(settings.value.claimToleranceDb)}` }] : [])])

const powerText = ref('5 W')
const frequencyText = ref('146.52')
const question = computed(() => {
  const power = parseLevel(powerText.value, { bareUnit: 'W' })
  const frequency = parseFrequency(frequencyText.value)
  if (!power.ok) return { error: power.message }
  if (!frequency.ok) return { error: frequency.message }
  const carrier = { powerW: wattsFromDbm(power.levelDbm), frequencyHz: frequency.frequencyHz }
  return {
    carrier,
    law: evaluateLimit(rulebookById(settings.value.rulebookId), carrier),
    own: settings.value.yardstickId ? evaluateLimit(rulebookById(settings.value.yardstickId), carrier) : null,
  }
})
</script>

<template>
  <div class="stack page">
    <h1>Rulebooks</h1>
    <p class="quiet">What the readings of this review are judged by.</p>

    <section class="sheet block" aria-labelledby="law">
      <h2 id="law">Law</h2>
      <label v-for="book in rulebooks" :key="book.id" class="book">
        <input type="radio" name="rulebook" :value="book.id" :checked="settings.rulebookId === book.id" :disabled="locked" @change="change('the rulebook', draft => { draft.rulebookId = book.id })">
        <span><strong>{{ book.title }}</strong>&nbsp; <span class="quiet small">{{ book.jurisdiction }} · {{ book.edition }} · recalled; check the current text</span></span>
      </label>
      <table class="plain">
        <thead><tr><th>Clause</th><th>Fundamental</th><th>Mean power</th><th>Asks of harmonics</th></tr></thead>
        <tbody>
          <tr v-for="line in clauseWords(rulebookById(settings.rulebookId))" :key="line.id"><td>{{ line.clause }}</td><td>{{ line.fundamental }}</td><td>{{ line.power }}</td><td>{{ line.asks }}</td></tr>
        </tbody>
      </table>
    </section>

    <section class="sheet block" aria-labelledby="own">
      <h2 id="own">Your own yardstick</h2>
      <VSwitch
        v-for="book in yardsticks" :key="book.id" :model-value="settings.yardstickId === book.id" :disabled="locked" :label="`${book.title}: shown beside “no figure in law”, always labelled as yours`"
        @update:model-value="value => change('the yardstick', draft => { draft.yardstickId = value ? book.id : null })"
      />
    </section>

    <section class="sheet block" aria-labelledby="decision">
      <h2 id="decision">How a reading is decided</h2>
      <p><strong>Sure either way.</strong> Inside when the true value complies with at least 95 % probability, outside when it does with 5 % or less, otherwise too close to call.</p>
      <div class="grid">
        <VSelect :model-value="settings.claimToleranceDb" :items="toleranceItems" label="Tolerance on claimed power" :disabled="locked" @update:model-value="value => change('the tolerance on claims', draft => { draft.claimToleranceDb = value as number })" />
        <NumberField :model-value="settings.claimToleranceDb" label="or your own" unit="dB" :min="0" :max="20" :disabled="locked" @update:model-value="value => change('the tolerance on claims', draft => { draft.claimToleranceDb = value ?? 0 })" />
      </div>
    </section>

    <section class="sheet block" aria-labelledby="ask">
      <h2 id="ask">What would the law ask?</h2>
      <div class="grid">
        <VTextField v-model="powerText" label="Carrier power" />
        <VTextField v-model="frequencyText" label="Carrier frequency" suffix="MHz" />
      </div>
      <p v-if="'error' in question" class="wrong" role="alert">{{ question.error }}</p>
      <div v-else class="stack" data-testid="law-answer" aria-live="polite">
        <template v-if="question.law?.kind === 'limit'">
          <p class="big"><span class="figure">{{ printDbm(question.law.limitDbm, 2) }}</span> <span class="quiet">{{ printWatts(wattsFromDbm(question.law.limitDbm)) }}, {{ printDb(dbmFromWatts(question.carrier!.powerW) - question.law.limitDbm, 2) }} below the carrier</span></p>
          <p>{{ question.law.reason }}</p>
          <p class="small quiet">{{ question.law.clause }} · {{ question.law.recalled ? `recalled, confidence ${question.law.confidence}; check the current text` : '' }}</p>
        </template>
        <template v-else-if="question.law">
          <p class="big"><VerdictWord state="no-figure" words="No figure in law" large /></p>
          <p>{{ question.law.reason }}</p>
          <p class="small quiet">{{ question.law.clause }} · {{ printMhz(question.carrier!.frequencyHz) }}</p>
          <p v-if="question.own?.kind === 'limit'"><strong>Your yardstick</strong> ({{ question.own.rulebook.title }}) would ask for <span class="figure">{{ printDbm(question.own.limitDbm, 2) }}</span>.</p>
        </template>
      </div>
    </section>
  </div>
</template>

<style scoped>
.page { max-width: 860px; }
.block { padding: 16px; display: grid; grid-template-columns: minmax(0, 1fr); gap: 12px; }
.book { display: flex; gap: 10px; align-items: baseline; }
.book input { accent-color: var(--spruce); width: 16px; height: 16px; }
.grid { display: grid; grid-template-columns: repeat(2, minmax(0, 320px)); gap: 12px; }
.big { font-size: 23px; line-height: 1.3; }
.big .quiet { font-size: 15px; }
.wrong { color: var(--outside); }
@media (max-width: 560px) { .grid { grid-template-columns: 1fr; } .plain { font-size: 13px; } }
</style>
