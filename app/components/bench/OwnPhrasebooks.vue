<script setup lang="ts">
import { type Phrasebook, phrasebooks, writePhrasebookFile } from '#core/link'

/**
 * How the reviewer’s own instruments are spoken to: copies of the plain ones, taught line by line or changed as
 * files.
 */
const own = useOwnBenchStore()
const books = computed(() => own.bench.phrasebooks)

function copy(book: Phrasebook): void {
  const id = `own-${crypto.randomUUID().slice(0, 8)}`
  void own.keepPhrasebook(
    { ...book, id, title: book.title.replace('Plain SCPI', 'My own') },
    'Copied. Teach it what differs: send a line, see the answer, keep the phrase.',
  )
}

const teaching = shallowRef<Phrasebook | null>(null)

function keepTaught(book: Phrasebook): void {
  teaching.value = null
  void own.keepPhrasebook(book, `“${book.title}” knows one phrase more.`)
}

function takeAway(book: Phrasebook): void {
  downloadFile(
    `${fileNameFrom(book.title)}.phrasebook.json`,
    new Blob([writePhrasebookFile(book)], { type: 'application/json' }),
  )
}

function bringIn([file]: File[]): void {
  if (file) void own.bringInPhrasebook(file)
}
</script>

<template>
  <section class="sheet part" data-testid="phrasebooks">
    <div class="spread">
      <h2>Phrasebooks</h2>
      <div class="row">
        <VMenu>
          <template #activator="{ props }"
            ><VBtn size="small" variant="outlined" v-bind="props">Copy a plain one</VBtn></template
          >
          <VList density="compact"
            ><VListItem v-for="book in phrasebooks" :key="book.id" :title="book.title" @click="copy(book)"
          /></VList>
        </VMenu>
        <FilePick label="A phrasebook file" accept=".json" test-id="phrasebook-file" @files="bringIn"
          >Bring in</FilePick
        >
      </div>
    </div>
    <p v-if="books.length === 0" class="quiet">None of your own: the plain ones are there anyway.</p>
    <ul v-else>
      <li v-for="book in books" :key="book.id">
        <span
          ><strong>{{ book.title }}</strong> <span class="small quiet">{{ book.note }}</span></span
        >
        <span class="row">
          <VBtn size="small" variant="text" @click="teaching = book">Teach</VBtn>
          <VBtn size="small" variant="text" @click="takeAway(book)">Take away</VBtn>
          <VBtn
            size="small"
            variant="text"
            :aria-label="`Remove ${book.title} from my bench`"
            @click="own.remove('phrasebooks', book.id, `“${book.title}” is off your bench.`)"
            >Remove</VBtn
          >
        </span>
      </li>
    </ul>
    <TeachDialog
      v-if="teaching"
      :key="teaching.id"
      :book="teaching"
      @close="teaching = null"
      @keep="keepTaught"
    />
  </section>
</template>

<style scoped>
.part {
  padding: 14px 16px;
}
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 4px 0;
  overflow-wrap: anywhere;
}
</style>
