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
  <NuxtLink
    :to="to"
    class="order-line entry"
    :class="{ current: isHere }"
    :aria-current="isHere ? 'page' : undefined"
  >
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
  gap: 10px;
  min-height: 30px;
  padding: 3px 14px 3px 29px;
  text-decoration: none;
  border-left: 3px solid transparent;
}
.current {
  background: var(--sheet);
  border-left-color: var(--spruce);
  font-weight: 700;
}
.open {
  overflow: visible;
}
.open circle {
  fill: none;
  stroke: var(--line-2);
  stroke-width: 1.6;
}
</style>

<style scoped src="./orderLine.css"></style>
