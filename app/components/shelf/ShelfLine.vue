<script setup lang="ts">
import { mdiDotsVertical } from '@mdi/js'
import { format, formatDistanceToNow } from 'date-fns'
import { verdictStateWords } from '#core/decision/stateWords'
import type { RadioMark } from '#core/past'
import { fewNames } from '#core/review/setNames'
import type { ReviewHead } from '~/storage'
import { backedUpAt } from '~/storage/storageHealth'

/** One review on the shelf. */
const { head, marks, isLarge } = defineProps<{
  head: ReviewHead
  /** Its radios with their worst verdicts; null while nobody knows. */
  marks: readonly RadioMark[] | null
  /** It is so large that it is worked through only when asked. */
  isLarge: boolean
}>()
const emit = defineEmits<{ takeAway: []; remove: []; workOut: [] }>()
const isPicked = defineModel<boolean>('picked', { required: true })
/** So many radios have their marks on the line. */
const MOST_MARKS = 8
const shownMarks = computed(() => marks?.slice(0, MOST_MARKS) ?? [])
const moreMarks = computed(() => (marks?.length ?? 0) - shownMarks.value.length)

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
    <input v-model="isPicked" type="checkbox" class="pick" :aria-label="`Pick ${head.title}`" />
    <NuxtLink :to="place" class="open">
      <h2>{{ head.title }}</h2>
      <p v-if="shownMarks.length" class="marks" data-testid="marks">
        <span v-for="one in shownMarks" :key="one.setId"
          ><VerdictMark :state="one.state" /> {{ one.name
          }}<span class="only-read">: {{ verdictStateWords[one.state] }}</span></span
        ><span v-if="moreMarks > 0" class="quiet">and {{ moreMarks }} more</span>
      </p>
      <p v-else class="quiet">{{ radios }}</p>
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
        <VListItem v-if="isLarge" title="Work out its marks" @click="emit('workOut')" />
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
  padding: 14px 10px 14px 16px;
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
.pick {
  width: 18px;
  height: 18px;
  accent-color: var(--spruce);
}
.marks {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
.facts {
  display: flex;
  gap: 16px;
  flex-wrap: wrap;
}
</style>
