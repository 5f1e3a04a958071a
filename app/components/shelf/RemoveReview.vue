<script setup lang="ts">
import type { ReviewHead } from '~/storage'

/** Asks before a review goes for good. */
const head = defineModel<ReviewHead | null>({ required: true })
const emit = defineEmits<{ takeAway: [head: ReviewHead]; remove: [head: ReviewHead] }>()

function keep(): void {
  head.value = null
}
</script>

<template>
  <VDialog :model-value="head !== null" max-width="520" @update:model-value="keep">
    <VCard v-if="head" class="dialog">
      <h2>Remove “{{ head.title }}”?</h2>
      <p>
        Its {{ head.readingCount }} readings and its traces go with it, for good. Take it away as a file first
        if you may want it again.
      </p>
      <div class="row end">
        <VBtn variant="text" @click="keep">Keep it</VBtn>
        <VBtn variant="outlined" @click="emit('takeAway', head)">Take away as a file</VBtn>
        <VBtn color="error" @click="emit('remove', head)">Remove</VBtn>
      </div>
    </VCard>
  </VDialog>
</template>
