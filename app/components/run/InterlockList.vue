<script setup lang="ts">
import type { Step } from '#core/step'

/** What must be ticked before anything is read at a step. */
const { step, open } = defineProps<{ step: Step; open: number }>()
const store = useReviewStore()
const { ticked, tick } = useTicks(() => step, 'a lock of a step')
</script>

<template>
  <section class="sheet locks" :class="{ open: open > 0 }" aria-label="Before anything is read">
    <p v-if="open > 0" class="small">
      <VerdictMark state="outside" /> <strong>Not before this is ticked.</strong> Nothing can be read until
      then.
    </p>
    <VCheckbox
      v-for="lock in step.interlocks"
      :key="lock.id"
      :model-value="ticked.includes(lock.id)"
      :label="lock.words"
      :disabled="store.readOnly"
      @update:model-value="tick(lock.id, $event)"
    />
  </section>
</template>

<style scoped>
.locks {
  padding: 6px 14px;
  display: grid;
  gap: 2px;
}
.locks.open {
  border-color: var(--outside);
}
</style>
