<script setup lang="ts">
import type { VerdictState } from '#core/decision'

const { state, words, large = false } = defineProps<{ state: VerdictState; words: string; large?: boolean }>()
</script>

<template>
  <span :class="['verdict', 'verdict-ink', state, { large }]"
    ><VerdictMark :state="state" :size="large ? 16 : 12" /><span>{{ words }}</span></span
  >
</template>

<style scoped>
.verdict {
  display: inline-flex;
  align-items: baseline;
  gap: 6px;
  font-weight: 700;
  line-height: 1.25;
}
.verdict :deep(svg) {
  position: relative;
  top: 1px;
}
.large {
  font-size: 18px;
}
.not-covered,
.no-figure,
.observation {
  font-weight: 600;
}
</style>
