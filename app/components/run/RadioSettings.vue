<script setup lang="ts">
import type { Step } from '#core/step'

const { step, unsafe } = defineProps<{ step: Step; unsafe: boolean }>()
const store = useReviewStore()
const stopWords = computed(() =>
  step.work === 'transmits'
    ? 'Do not key up: see the checks below.'
    : 'A keyed radio would destroy the generator: see the checks below.',
)
const { ticked, tick } = useTicks(() => step, 'a line of the set-the-radio list')
</script>

<template>
  <ul class="settings" aria-label="Set the radio">
    <li v-for="setting in step.radioSettings" :key="setting.id">
      <VCheckbox
        :model-value="ticked.includes(setting.id)"
        :label="setting.words"
        :disabled="store.readOnly"
        @update:model-value="tick(setting.id, $event)"
      />
    </li>
    <li v-if="unsafe" class="stop"><VerdictMark state="outside" /> {{ stopWords }}</li>
  </ul>
</template>

<style scoped>
.settings {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
  list-style: none;
  padding: 0;
  margin: 0;
  align-items: center;
}
.settings :deep(.v-label) {
  color: var(--ink-2);
  font-size: 15px;
}
.settings :deep(.v-selection-control) {
  min-height: 30px;
}
</style>
