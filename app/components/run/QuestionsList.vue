<script setup lang="ts">
import type { Question } from '#core/step'

const { questions } = defineProps<{ questions: Question[] }>()
</script>

<template>
  <ul v-if="questions.length" class="questions" aria-label="Questions" role="status">
    <li v-for="question in questions" :key="question.slotId">
      <VerdictMark state="too-close" /> <span>{{ question.words }}</span>
    </li>
  </ul>
</template>

<style scoped>
.questions {
  list-style: none;
  margin: 0;
  padding: 8px 14px;
  background: rgb(var(--v-theme-close-wash));
  border-radius: var(--radius);
  border: 1px solid var(--line-2);
}
li {
  display: grid;
  grid-template-columns: 20px 1fr;
  align-items: baseline;
}
</style>
