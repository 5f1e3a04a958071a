<script setup lang="ts">
import { newRadioSet, type RadioSet, removeSet, setName } from '#core/review'

const store = useReviewStore()
const ui = useUiStore()
const { set, sets, chooseSet } = useReviewRoute()
const review = computed(() => store.review!)

const locked = computed(() => store.readOnly)

function addSet(): void {
  const id = crypto.randomUUID()
  store.change(
    'a radio added',
    draft => void draft.sets.push(newRadioSet({ id, sample: '', levelId: 'high' })),
  )
  chooseSet(id)
  void nextTick(() => document.querySelector<HTMLInputElement>('[aria-labelledby=card-title] input')?.focus())
}

function addSample(): void {
  const from = set.value
  if (!from) return
  const id = crypto.randomUUID()
  const taken = sets.value
    .filter(other => other.make === from.make && other.model === from.model)
    .map(other => other.sample)
  const letter = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find(candidate => !taken.includes(candidate)) ?? ''
  store.change('a sample added', draft => {
    const original = draft.sets.find(other => other.id === from.id)
    if (original && original.sample === '') original.sample = 'A'
    const nextLetter = from.sample === '' ? 'B' : letter
    draft.sets.push({
      ...(JSON.parse(JSON.stringify(from)) as RadioSet),
      id,
      sample: nextLetter,
      serial: '',
      supplyNow: '',
      readyFor: null,
    })
  })
  chooseSet(id)
}

function dropSet(): void {
  const gone = set.value
  if (!gone) return
  const count = review.value.readings.filter(reading => reading.setId === gone.id).length
  if (!store.change(`${setName(gone)} removed`, draft => removeSet(draft, gone.id))) return
  ui.say(`${setName(gone)} and its ${count} readings are gone.`, { label: 'Undo', run: () => store.undo() })
}

function rename(field: 'title' | 'purpose' | 'reviewer', value: string): void {
  if (field === 'title' && !value) return
  store.change('the review’s heading', draft => {
    draft[field] = value
  })
}

/** The four sections of a card come one after the other when the page is opened. */
const due = useTurns(4)
</script>

<template>
  <div class="stack page">
    <section class="sheet head">
      <CommitField
        :model-value="review.title"
        label="Review"
        :disabled="locked"
        :maxlength="200"
        @update:model-value="rename('title', $event)"
      />
      <CommitField
        :model-value="review.reviewer"
        label="Who measures"
        :disabled="locked"
        @update:model-value="rename('reviewer', $event)"
      />
      <div class="wide">
        <CommitField
          :model-value="review.purpose"
          label="What it is for"
          multiline
          :disabled="locked"
          @update:model-value="rename('purpose', $event)"
        />
      </div>
    </section>

    <div class="spread">
      <h1>{{ set ? setName(set) : 'Card and claims' }}</h1>
      <div class="row">
        <VBtn v-if="set" variant="text" :disabled="locked" @click="dropSet">Remove this radio</VBtn>
        <VBtn v-if="set" variant="outlined" :disabled="locked" @click="addSample">Add a sample of it</VBtn>
        <VBtn color="primary" :disabled="locked" @click="addSet">Add a radio</VBtn>
      </div>
    </div>

    <SetCard v-if="set" :key="set.id" :radio="set" :due="due" />
    <section v-else class="sheet empty stack">
      <h2>No radio yet</h2>
      <p>
        Add the first one. Its card holds what the box and the maker say; the run is planned from its claims.
      </p>
    </section>
  </div>
</template>

<style scoped>
.page {
  max-width: 1100px;
}
.head {
  display: grid;
  grid-template-columns: 2fr 1fr;
  gap: 12px;
  padding: 14px;
}
.wide {
  grid-column: 1 / -1;
}
.empty {
  padding: 24px;
}
@media (max-width: 600px) {
  .head {
    grid-template-columns: 1fr;
  }
}
</style>
