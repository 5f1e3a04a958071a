<script setup lang="ts">
import type { NextAt } from '~/composables/useLinkRead'
import type { StationRun } from '~/composables/useStationRun'

/** Reads what the step wants from instruments that answer (L), without hands; L again stops it. */
const { run, next } = defineProps<{
  run: StationRun
  /** What is to be read next, where the station alone does not know: at a moment that was chosen. */
  next?: NextAt
}>()
const { isOffered, state, told, readAll, pause } = useLinkRead(run, next)

function read(): void {
  if (isOffered.value) void readAll()
}
useKeys({ l: read })
</script>

<template>
  <div v-if="isOffered" class="row" data-testid="link">
    <VBtn variant="outlined" size="small" :disabled="state === 'stopping'" @click="read">{{
      state === 'idle' ? 'Read it (L)' : 'Stop (L)'
    }}</VBtn>
    <VBtn v-if="state === 'reading' || state === 'paused'" variant="text" size="small" @click="pause">{{
      state === 'paused' ? 'Go on' : 'Pause'
    }}</VBtn>
    <VProgressCircular v-if="state === 'reading'" indeterminate size="18" width="2" aria-label="Reading" />
    <span v-if="told" class="small quiet" role="status">{{ told }}</span>
  </div>
</template>
