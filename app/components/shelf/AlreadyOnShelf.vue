<script setup lang="ts">
import type { ReviewBundle } from '#core/review'

/** Asks what is to become of a review that is brought in and stands on the shelf already. */
const bundle = defineModel<ReviewBundle | null>({ required: true })
const emit = defineEmits<{ replace: [bundle: ReviewBundle]; keepBoth: [bundle: ReviewBundle] }>()

function leave(): void {
  bundle.value = null
}
</script>

<template>
  <VDialog :model-value="bundle !== null" max-width="520" @update:model-value="leave">
    <VCard v-if="bundle" class="dialog">
      <h2>This review is on the shelf already</h2>
      <p>
        “{{ bundle.review.title }}”, {{ bundle.review.readings.length }} readings in the file. Keep both, or
        put the one from the file in place of the one here?
      </p>
      <div class="row end">
        <VBtn variant="text" @click="leave">Leave it</VBtn>
        <VBtn variant="outlined" @click="emit('replace', bundle)">Replace the one here</VBtn>
        <VBtn color="primary" @click="emit('keepBoth', bundle)">Keep both</VBtn>
      </div>
    </VCard>
  </VDialog>
</template>
