<script setup lang="ts">
import type { DamagedHead } from '~/storage'

/** A review on the shelf that cannot be read. */
const { head } = defineProps<{ head: DamagedHead }>()
const emit = defineEmits<{ remove: [] }>()
</script>

<template>
  <li class="sheet damaged stack" data-testid="damaged">
    <div>
      <h2>A damaged review</h2>
      <p>
        {{ head.why }} It is left as it is until you say otherwise.
        <span class="quiet">Its name in the browser’s storage: {{ head.id }}</span>
      </p>
    </div>
    <DamagedReview :id="head.id">
      <VBtn variant="text" @click="emit('remove')">Remove it</VBtn>
    </DamagedReview>
  </li>
</template>

<style scoped>
.damaged {
  padding: 14px 18px;
  border-left: 4px solid rgb(var(--v-theme-outside));
  overflow-wrap: anywhere;
}
</style>
