<script setup lang="ts">
import type { Instrument } from '#core/chain'
import { plainBookFor } from '#core/link'
import { useLinks } from '~/link/links'

/** Whether the application reads an instrument itself. */
const { instrument } = defineProps<{ instrument: Instrument }>()
const { links, set } = useLinks()
const canBeRead = computed(() => plainBookFor(instrument) !== null)
const CHOICES = [
  { value: 'typed', title: 'I type what it shows' },
  { value: 'virtual', title: 'Virtual bench (simulated), by L' },
]
const own = useOwnBenchStore()
void own.load()
const books = computed(() => [
  { value: null, title: 'Plain SCPI' },
  ...own.bench.phrasebooks
    .filter(({ kind }) => kind === instrument.kind)
    .map(({ id, title }) => ({ value: id, title })),
])
const bookId = computed(() => links.value[instrument.id]?.phrasebookId ?? null)

function chooseBook(phrasebookId: string | null): void {
  const link = links.value[instrument.id]
  if (link) set(instrument.id, { ...link, phrasebookId })
}
const choice = computed(() => links.value[instrument.id]?.via ?? 'typed')

/** Every link is a bench of its own. */
const SEEDS = 2 ** 31

function choose(value: string): void {
  set(instrument.id, value === 'virtual' ? { via: 'virtual', seed: Math.floor(Math.random() * SEEDS) } : null)
}
</script>

<template>
  <div v-if="canBeRead" class="row link">
    <VSelect
      :model-value="choice"
      :items="CHOICES"
      label="How it is read"
      class="choice-of-link"
      @update:model-value="choose"
    />
    <VSelect
      v-if="choice === 'virtual' && books.length > 1"
      :model-value="bookId"
      :items="books"
      label="Phrasebook"
      class="choice-of-book"
      @update:model-value="chooseBook"
    />
    <span v-if="choice === 'virtual'" class="small quiet"
      >Simulated: radio, chain and instrument have a truth of their own. Readings say where they come
      from.</span
    >
  </div>
</template>

<style scoped>
.link {
  margin-top: 10px;
}
.choice-of-link {
  flex: 0 1 320px;
}
.choice-of-book {
  flex: 0 1 240px;
}
</style>
