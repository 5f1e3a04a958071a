<script setup lang="ts">
import type { BenchCheck, CheckSeverity } from '#core/chain'
import type { VerdictState } from '#core/decision'

const { checks } = defineProps<{ checks: BenchCheck[] }>()
const STATE: Record<CheckSeverity, VerdictState> = {
  ok: 'inside',
  note: 'not-covered',
  caution: 'too-close',
  danger: 'outside',
}
const WORD: Record<CheckSeverity, string> = {
  ok: 'In order',
  note: 'Note',
  caution: 'Caution',
  danger: 'Do not key up',
}
</script>

<template>
  <ul class="checks">
    <li v-for="check in checks" :key="check.id" :class="check.severity" :data-check="check.id">
      <VerdictMark :state="STATE[check.severity]" /><span class="only-read">{{ WORD[check.severity] }}:</span>
      <p>
        <strong>{{ check.title }}</strong> {{ check.text }}
      </p>
    </li>
  </ul>
</template>

<style scoped>
.checks {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: 20px 1fr;
  align-items: baseline;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
li:last-child {
  border-bottom: 0;
}
.ok strong,
.note strong {
  font-weight: 400;
}
.danger strong {
  color: var(--outside);
}
</style>
