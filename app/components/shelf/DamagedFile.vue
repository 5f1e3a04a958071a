<script setup lang="ts">
import type { ReadReview } from '#core/review'

/** A file whose review is damaged, and what is sound of it. */
export interface SalvagedFile {
  why: string
  bundle: ReadReview
  /** What would be left out, a line each. */
  left: string[]
}

/** Asks whether what is sound of a damaged file is to come in. */
const file = defineModel<SalvagedFile | null>({ required: true })
const emit = defineEmits<{ bringIn: [bundle: ReadReview] }>()

function leave(): void {
  file.value = null
}
</script>

<template>
  <VDialog :model-value="file !== null" max-width="560" @update:model-value="leave">
    <VCard v-if="file" class="dialog" data-testid="damaged-file">
      <h2>This file is damaged</h2>
      <p>{{ file.why }}</p>
      <p>
        “{{ file.bundle.review.title }}” can come in with {{ file.bundle.review.sets.length }} radios and
        {{ file.bundle.review.readings.length }} readings, as a review of its own. Left out:
      </p>
      <ul>
        <li v-for="line in file.left" :key="line">{{ line }}</li>
      </ul>
      <div class="row end">
        <VBtn variant="text" @click="leave">Leave it</VBtn>
        <VBtn color="primary" @click="emit('bringIn', file.bundle)">Bring in what is sound</VBtn>
      </div>
    </VCard>
  </VDialog>
</template>
