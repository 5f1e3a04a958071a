<script setup lang="ts">
import { clauseWords, type Rulebook } from '#core/rules'

/** The clauses of a rulebook, and what can be done with it. */
const { book } = defineProps<{ book: Rulebook }>()
const store = useReviewStore()
const { reviewId, set } = useReviewRoute()
const { all, copy, remove, takeAway } = useOwnRulebooks()

const isOwn = computed(() => book.owner === 'reviewer')
const basedOn = computed(() => all.value.find(({ id }) => id === book.basedOn)?.title ?? book.basedOn)
const standing = computed(() => {
  const words = [book.jurisdiction, book.edition]
  if (isOwn.value) words.push(basedOn.value ? `yours, copied from ${basedOn.value}` : 'yours')
  return words.join(' · ')
})

function edit(id: string): void {
  const query = { ...(set.value ? { set: set.value.id } : {}), book: id }
  void navigateTo({ path: `/review/${reviewId.value}/rulebook`, query })
}

function copyAndEdit(): void {
  edit(copy(book.id))
}
</script>

<template>
  <section class="sheet block" aria-labelledby="clauses">
    <div class="spread">
      <div>
        <h2 id="clauses">{{ book.title }}: its clauses</h2>
        <p class="small quiet">{{ standing }}</p>
      </div>
      <div class="row">
        <template v-if="isOwn">
          <VBtn size="small" color="primary" :disabled="store.readOnly" @click="edit(book.id)">Change</VBtn>
          <VBtn size="small" variant="outlined" :disabled="store.readOnly" @click="remove(book)">Remove</VBtn>
        </template>
        <VBtn size="small" variant="outlined" :disabled="store.readOnly" @click="copyAndEdit"
          >Copy and change</VBtn
        >
        <VBtn size="small" variant="outlined" @click="takeAway(book)">Take away as a file</VBtn>
      </div>
    </div>
    <p v-if="book.note" class="small">{{ book.note }}</p>
    <div class="scroll">
      <table class="plain">
        <thead>
          <tr>
            <th>Clause</th>
            <th>About</th>
            <th>When</th>
            <th>Asks</th>
            <th>Sure?</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in clauseWords(book)" :key="line.id" :class="{ off: line.off }">
            <td>{{ line.clause }}</td>
            <td>{{ line.about }}</td>
            <td>{{ line.when }}</td>
            <td>{{ line.asks }}</td>
            <td>{{ line.off ? 'L, switched off' : line.confidence }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="small quiet">
      H sure, M likely, L vague: never gives a verdict. The form of the files is described by
      <a href="/schema/rulebook-1.schema.json">their JSON Schema</a>.
    </p>
  </section>
</template>

<style scoped>
td {
  font-size: 14px;
  vertical-align: top;
}
.off td {
  color: var(--ink-3);
}
a {
  color: var(--spruce);
}
@media (max-width: 560px) {
  table {
    min-width: 640px;
  }
  td {
    font-size: 13px;
  }
}
</style>
