<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { comparisons } from '#core/findings'
import type { EnScore, VerdictState } from '#core/decision'
import { parseLevel, parsePlainNumber, type ParseRefusal } from '#core/quantity'
import { type OtherFigure, setShortName } from '#core/review'
import { stations } from '#core/station'
import { bareUnitOf, placeWords } from '#core/step'

/** Another tester's figure for the same radio and line, compared by E_n. */
const store = useReviewStore()
const locked = computed(() => store.readOnly)
const context = computed(() => store.context!)
const compared = computed(() => comparisons(context.value))

const form = reactive({ open: false, setId: '', place: '', who: '', text: '', sure: '1', wrong: '' })
const sets = computed(() =>
  context.value.review.sets.map(set => ({ value: set.id, title: setShortName(set) })),
)
const places = computed(() => {
  const set = context.value.review.sets.find(({ id }) => id === form.setId)
  return set
    ? stations.flatMap(station =>
        station.plan(set, context.value).flatMap(step =>
          step.slots
            .filter(({ field }) => field.as === 'level')
            .map(slot => ({
              value: `${step.id}|${slot.id}`,
              title: `${station.title}, ${placeWords(step)}, ${slot.label}`,
              station,
              step,
              slot,
            })),
        ),
      )
    : []
})

function openForm(): void {
  form.setId ||= sets.value[0]?.value ?? ''
  form.open = !form.open
}

function keep(): void {
  const place = places.value.find(({ value }) => value === form.place)
  const bareUnit = place ? bareUnitOf(place.step, context.value) : 'dBm'
  const level = parseLevel(form.text, { bareUnit })
  const sure = parsePlainNumber(form.sure, { min: 0, max: 60, unit: 'dB' })
  if (!place || !level.ok || !sure.ok) {
    form.wrong = place ? wordsOf(level, sure) : 'Choose which reading it is about.'
    return
  }
  const figure: OtherFigure = {
    id: crypto.randomUUID(),
    setId: form.setId,
    stationId: place.station.id,
    stepId: place.step.id,
    slot: place.slot.id,
    who: form.who.trim(),
    text: form.text.trim(),
    levelDbm: level.levelDbm,
    expandedDb: sure.value,
    at: new Date().toISOString(),
  }
  if (store.change('another tester’s figure', draft => void draft.otherFigures.push(figure)))
    Object.assign(form, { open: false, text: '', wrong: '' })
}

/** The first refusal of those that were read. */
function wordsOf(...read: ({ ok: true } | ParseRefusal)[]): string {
  const refused = read.find(one => !one.ok)
  return refused && !refused.ok ? refused.message : ''
}

function remove(figureId: string): void {
  store.change('a figure of another tester removed', draft => {
    draft.otherFigures = draft.otherFigures.filter(({ id }) => id !== figureId)
  })
}

const rows = computed(() =>
  compared.value.map(({ figure, set, step, slot, score, words }) => ({
    id: figure.id,
    state: stateOf(score),
    verdict: verdictOf(score),
    about: `${setShortName(set)}, ${slot.slot.label} of ${placeWords(step)}`,
    words: `${figure.who || 'another tester'}: ${words}`,
  })),
)

function stateOf(score: EnScore | null): VerdictState {
  if (!score) return 'not-covered'
  return score.agree ? 'inside' : 'outside'
}

function verdictOf(score: EnScore | null): string {
  if (!score) return 'Nothing to compare'
  return score.agree ? 'Agree' : 'Disagree'
}
</script>

<template>
  <section class="sheet block" aria-labelledby="others">
    <div class="spread">
      <div>
        <h2 id="others">Other testers</h2>
        <p class="small quiet">
          The same radio on another bench. E_n up to 1: the two agree within what both say of their ranges.
        </p>
      </div>
      <VBtn size="small" variant="outlined" :disabled="locked" :aria-expanded="form.open" @click="openForm"
        >Add a figure</VBtn
      >
    </div>
    <form v-if="form.open" class="grid" @submit.prevent="keep">
      <VSelect v-model="form.setId" :items="sets" label="Radio" />
      <VSelect
        v-model="form.place"
        :items="places.map(({ value, title }) => ({ value, title }))"
        label="Which reading"
      />
      <VTextField v-model="form.who" label="Who" :maxlength="200" />
      <VTextField v-model="form.text" label="Their figure at the socket" placeholder="−24.5 dBm or 4.6 W" />
      <VTextField v-model="form.sure" label="their range ± (95 %)" suffix="dB" />
      <VBtn type="submit" color="primary">Keep the figure</VBtn>
      <p v-if="form.wrong" class="wrong small" role="alert">{{ form.wrong }}</p>
    </form>
    <ul v-if="rows.length" class="list">
      <li v-for="row in rows" :key="row.id">
        <VerdictWord :state="row.state" :words="row.verdict" />
        <span class="small"
          ><strong>{{ row.about }}</strong
          >, {{ row.words }}</span
        >
        <VBtn
          icon
          size="small"
          variant="text"
          aria-label="Remove this figure"
          :disabled="locked"
          @click="remove(row.id)"
          ><VIcon :icon="mdiClose" size="16"
        /></VBtn>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 10px;
  align-items: start;
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
}
.list li {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.wrong {
  color: var(--outside);
  grid-column: 1 / -1;
}
@media (max-width: 700px) {
  .list li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .list li > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
