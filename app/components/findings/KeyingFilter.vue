<script setup lang="ts">
import {
  FILTER_CAUTION,
  KEYING_WORDS,
  type MayIKey,
  mayIKeyWithFilter,
  parseFilterLoss,
  typicalFilterLoss,
} from '#core/findings'
import { setShortName } from '#core/review'

/** What a filter of entered loss would bring: the answers that would be others. */
const { answers } = defineProps<{ answers: readonly MayIKey[] }>()
const store = useReviewStore()

const text = ref('')
const isOpen = ref(false)
const read = computed(() => parseFilterLoss(text.value))
const message = computed(() => (text.value.trim() === '' || read.value.ok ? '' : read.value.message))

const changed = computed(() => {
  const { context } = store
  if (!isOpen.value || !context || !read.value.ok) return null
  const { points } = read.value
  const sets = [...new Set(answers.map(({ set }) => set))]
  const filtered = mayIKeyWithFilter(sets, points, context)
  return filtered.flatMap((after, i) => {
    const before = answers[i]
    return before && before.state !== after.state ? [{ before, after }] : []
  })
})

function keepOpen(event: Event): void {
  isOpen.value = (event.target as HTMLDetailsElement).open
}

function takeTypical(): void {
  text.value = typicalFilterLoss()
}
</script>

<template>
  <details class="filter" @toggle="keepOpen">
    <summary>With a filter: what it would bring</summary>
    <div class="body">
      <div class="entry">
        <VTextarea
          v-model="text"
          label="Its loss, one line a frequency: MHz and dB"
          placeholder="144 0.4"
          rows="6"
          :error-messages="message"
        />
        <VBtn variant="outlined" @click="takeTypical">A typical low-pass for 2 m</VBtn>
      </div>
      <div role="status">
        <p v-if="changed?.length === 0">No answer would be another.</p>
        <ul v-else-if="changed">
          <li v-for="{ before, after } in changed" :key="`${after.set.id}:${after.band.id}`">
            <strong>{{ setShortName(after.set) }}</strong>, {{ after.band.name }}:
            <VerdictWord :state="KEYING_WORDS[before.state].mark" :words="KEYING_WORDS[before.state].short" />
            →
            <VerdictWord :state="KEYING_WORDS[after.state].mark" :words="KEYING_WORDS[after.state].words" />
            <span v-for="reason in after.because.slice(0, 2)" :key="reason.words" class="small quiet why">{{
              reason.words
            }}</span>
          </li>
        </ul>
        <p class="small quiet">{{ FILTER_CAUTION }}</p>
      </div>
    </div>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-weight: 600;
}
.body {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: 16px;
  padding-top: 10px;
}
.entry {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.entry > :first-child {
  width: 100%;
}
ul {
  margin: 0 0 10px;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 8px;
}
.why {
  display: block;
}
</style>
