<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { comparisons } from '#core/findings'
import { parseLevel, parsePlainNumber, printMhz } from '#core/quantity'
import { type OtherFigure, setShortName } from '#core/review'
import { stations } from '#core/station'

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
            .filter(({ measures }) => measures === 'level')
            .map(slot => ({
              value: `${step.id}|${slot.id}`,
              title: `${station.title}, ${printMhz(step.channel.frequencyHz)}, ${step.level.name}${slot.id === 'carrier' ? '' : `, ${slot.label}`}`,
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
  const level = parseLevel(form.text, { bareUnit: place?.slot.id === 'carrier' ? 'W' : 'dBm' })
  const sure = parsePlainNumber(form.sure, { min: 0, max: 60, unit: 'dB' })
  if (!place || !level.ok || !sure.ok) {
    form.wrong = !place
      ? 'Choose which reading it is about.'
      : !level.ok
        ? level.message
        : sure.ok
          ? ''
          : sure.message
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
    <ul v-if="compared.length" class="list">
      <li v-for="{ figure, set, step, slot, score, words } in compared" :key="figure.id">
        <VerdictWord
          :state="!score ? 'not-covered' : score.agree ? 'inside' : 'outside'"
          :words="!score ? 'Nothing to compare' : score.agree ? 'Agree' : 'Disagree'"
        />
        <span class="small"
          ><strong
            >{{ setShortName(set) }}, {{ slot.slot.id === 'carrier' ? 'carrier' : slot.slot.label }} of
            {{ printMhz(step.channel.frequencyHz) }}, {{ step.level.name }}</strong
          >, {{ figure.who || 'another tester' }}: {{ words }}</span
        >
        <VBtn
          icon
          size="small"
          variant="text"
          aria-label="Remove this figure"
          :disabled="locked"
          @click="
            store.change('a figure of another tester removed', draft => {
              draft.otherFigures = draft.otherFigures.filter(({ id }) => id !== figure.id)
            })
          "
          ><VIcon :icon="mdiClose" size="16"
        /></VBtn>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.block {
  padding: 14px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
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
