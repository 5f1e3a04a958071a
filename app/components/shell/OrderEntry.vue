<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router'
import type { VerdictState } from '#core/decision'

/** One place of the order of work, with its mark: drawn anew only when something of it changed. */
defineProps<{
  to: RouteLocationRaw
  title: string
  isHere: boolean
  state: VerdictState | null
  words: string
}>()
</script>

<template>
  <NuxtLink :to="to" class="entry" :class="{ current: isHere }" :aria-current="isHere ? 'page' : undefined">
    <VerdictMark v-if="state" :state="state" />
    <svg v-else width="12" height="12" viewBox="0 0 12 12" aria-hidden="true" class="open">
      <circle cx="6" cy="6" r="4.6" />
    </svg>
    <span class="title">{{ title }}</span>
    <span class="count figure">{{ words }}</span>
  </NuxtLink>
</template>

<style scoped>
.entry {
  display: flex;
  align-items: center;
  gap: 10px;
  width: 100%;
  min-height: 30px;
  padding: 3px 14px 3px 29px;
  color: var(--ink);
  text-decoration: none;
  border-left: 3px solid transparent;
}
.entry:hover {
  background: rgba(var(--v-theme-surface), 0.55);
}
.current {
  background: var(--sheet);
  border-left-color: var(--spruce);
  font-weight: 700;
}
.title {
  flex: 1;
}
.count {
  font-size: 13px;
  color: var(--ink-3);
  font-weight: 400;
}
.open {
  overflow: visible;
}
.open circle {
  fill: none;
  stroke: var(--line-2);
  stroke-width: 1.6;
}
@media (max-width: 900px) {
  .entry {
    min-height: 44px;
  }
}
</style>
