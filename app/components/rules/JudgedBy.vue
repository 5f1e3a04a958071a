<script setup lang="ts">
import type { ReviewSettings } from '#core/review'
import { type Rulebook, rulebooks, yardsticks } from '#core/rules'

/** Which rulebooks the review is judged by, and the reviewer's yardstick beside them. */
const { shownId } = defineProps<{ shownId: string | null }>()
const emit = defineEmits<{ show: [id: string] }>()
const store = useReviewStore()
const ui = useUiStore()
const { own, ids, change } = useJudgedBy()
const locked = computed(() => store.readOnly)

const groups = computed(() => [
  { title: 'Law', books: rulebooks.filter(({ standing }) => standing === 'law') },
  { title: 'Standards', books: rulebooks.filter(({ standing }) => standing === 'standard') },
  { title: 'Your own', books: own.value },
])
const yardstickItems = computed(() => {
  const ownYardsticks = own.value.filter(({ standing }) => standing === 'yardstick')
  const all = [...yardsticks, ...ownYardsticks].map(({ id, title }) => ({ value: id, title }))
  return [{ value: '', title: 'none' }, ...all]
})
const bandsWithTheirOwn = computed(() =>
  store.review!.sets.flatMap(set =>
    set.bands.filter(band => band.rulebookIds).map(band => `${set.make} ${set.model} on ${band.name}`),
  ),
)

/** The last tick stays: the box is put back before it can change. */
function clicked(event: Event, book: Rulebook): void {
  if (ids.value.length > 1 || !ids.value.includes(book.id)) return
  event.preventDefault()
  ui.say('A review is judged by one rulebook at least. Tick another first.')
}

function toggled(event: Event, book: Rulebook): void {
  const on = (event.target as HTMLInputElement).checked
  change(on ? `judged by ${book.title}` : `no longer judged by ${book.title}`, draft => {
    const others = draft.rulebookIds.filter(id => id !== book.id)
    draft.rulebookIds = on ? [...others, book.id] : others
  })
}

function keepYardstick(id: ReviewSettings['yardstickId']): void {
  change('the yardstick', draft => {
    draft.yardstickId = id || null
  })
}
</script>

<template>
  <section class="sheet block" aria-label="Judged by">
    <template v-for="group in groups" :key="group.title">
      <h2>{{ group.title }}</h2>
      <ul class="books">
        <li v-for="book in group.books" :key="book.id" :class="{ here: shownId === book.id }">
          <label
            ><input
              class="tick"
              type="checkbox"
              :checked="ids.includes(book.id)"
              :disabled="locked"
              @click="clicked($event, book)"
              @change="toggled($event, book)"
            /><span
              ><strong>{{ book.title }}</strong
              ><span class="small quiet">{{ book.edition }}</span></span
            ></label
          >
          <button
            type="button"
            class="show small"
            :aria-pressed="shownId === book.id"
            :aria-label="`Show the clauses of ${book.title}`"
            @click="emit('show', book.id)"
          >
            Clauses
          </button>
        </li>
        <li v-if="group.books.length === 0" class="small quiet none">
          None yet. Copy a rulebook and correct it, or bring one in; yours wins.
        </li>
      </ul>
    </template>
    <p v-if="bandsWithTheirOwn.length" class="small quiet">
      Judged by rulebooks of their own (see the card): {{ bandsWithTheirOwn.join(', ') }}.
    </p>
    <VSelect
      :model-value="store.review!.settings.yardstickId ?? ''"
      :items="yardstickItems"
      label="Your yardstick, where law has no figure"
      :disabled="locked"
      @update:model-value="keepYardstick"
    />
  </section>
</template>

<style scoped>
.block {
  gap: 10px;
}
.books {
  list-style: none;
  margin: 0 -8px;
  padding: 0;
  display: grid;
}
.books li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  padding: 3px 8px;
  border-radius: 4px;
}
.books .none {
  display: block;
}
.books label {
  display: flex;
  gap: 10px;
  align-items: baseline;
  min-width: 0;
  cursor: pointer;
}
.books label span span {
  display: block;
  line-height: 1.25;
}
.show {
  color: var(--spruce);
  text-decoration: underline;
  padding: 4px;
}
</style>
