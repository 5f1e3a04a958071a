<script setup lang="ts">
import { mdiDotsVertical } from '@mdi/js'
import { format, formatDistanceToNow } from 'date-fns'
import { fewNames } from '#core/review/setNames'
import type { ReviewHead } from '~/storage'
import { backedUpAt } from '~/storage/storageHealth'

/** One review on the shelf. */
const { head } = defineProps<{ head: ReviewHead }>()
const emit = defineEmits<{ takeAway: []; remove: [] }>()

const place = computed(() => `/review/${head.id}/${head.readingCount ? 'findings' : 'card'}`)
const radios = computed(() => fewNames(head.setNames.filter(Boolean), ' · ') || 'No radio yet')
const counts = computed(() => [
  { count: head.setNames.length, words: head.setNames.length === 1 ? 'radio' : 'radios' },
  { count: head.readingCount, words: head.readingCount === 1 ? 'reading' : 'readings' },
])
const changed = computed(() => format(new Date(head.updatedAt), 'd MMM yyyy, HH:mm'))
/** How old the last file of it is: what is only in this browser goes with it. */
const backup = computed(() => {
  const at = backedUpAt(head.id)
  if (!at) return 'never taken away as a file'
  const age = formatDistanceToNow(new Date(at), { addSuffix: true })
  return at < head.updatedAt ? `taken away ${age}, changed since` : `taken away ${age}`
})
</script>

<template>
  <li class="sheet review">
    <NuxtLink :to="place" class="open">
      <h2>{{ head.title }}</h2>
      <p class="quiet">{{ radios }}</p>
    </NuxtLink>
    <div class="facts small quiet">
      <span v-for="one in counts" :key="one.words"
        ><span class="figure">{{ one.count }}</span> {{ one.words }}</span
      >
      <span>changed {{ changed }}</span>
      <span data-testid="backup">{{ backup }}</span>
    </div>
    <VMenu>
      <template #activator="{ props }"
        ><VBtn icon variant="text" size="small" :aria-label="`More for ${head.title}`" v-bind="props"
          ><VIcon :icon="mdiDotsVertical" /></VBtn
      ></template>
      <VList density="compact">
        <VListItem title="Take away as a file" @click="emit('takeAway')" />
        <VListItem title="Remove from the shelf" @click="emit('remove')" />
      </VList>
    </VMenu>
  </li>
</template>

<style scoped>
.review {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 14px 10px 14px 18px;
  flex-wrap: wrap;
}
.open {
  flex: 1 1 320px;
  color: inherit;
  text-decoration: none;
  min-width: 0;
  overflow-wrap: anywhere;
}
.open:hover h2 {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.facts {
  display: flex;
  gap: 16px;
  flex-wrap: wrap;
}
</style>
