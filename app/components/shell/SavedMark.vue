<script setup lang="ts">
import { format } from 'date-fns'
import type { SaveState } from '~/composables/useReviewSaving'

/** How the open review is saved; by itself, so that nothing around it is drawn anew each time it is. */
const { document } = defineProps<{ document: { saveState: SaveState } }>()

const words = computed(() => {
  const state = document.saveState
  if (state.kind === 'saving') return 'Saving'
  if (state.kind === 'failed') return 'Not saved'
  return state.at ? `Saved ${format(state.at, 'HH:mm:ss')}` : 'Saved'
})
</script>

<template>
  <span class="saved" data-testid="saved">{{ words }}</span>
</template>

<style scoped>
.saved {
  font-size: 13px;
  color: rgb(var(--v-theme-header-quiet));
  margin-right: 6px;
  white-space: nowrap;
}
@media (max-width: 700px) {
  .saved {
    display: none;
  }
}
</style>
