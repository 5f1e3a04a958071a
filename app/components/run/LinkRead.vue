<script setup lang="ts">
import type { StationRun } from '~/composables/useStationRun'

/** Reads what the step wants from an instrument that answers (L); stops when pressed again. */
const { run } = defineProps<{ run: StationRun }>()
const { isOffered, isReading, told, readAll } = useLinkRead(run)

function read(): void {
  if (isOffered.value) void readAll()
}
useKeys({ l: read })
</script>

<template>
  <div v-if="isOffered" class="row" data-testid="link">
    <VBtn variant="outlined" size="small" @click="read">{{ isReading ? 'Stop' : 'Read it (L)' }}</VBtn>
    <span v-if="told" class="small quiet" role="status">{{ told }}</span>
  </div>
</template>
