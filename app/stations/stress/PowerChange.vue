<script setup lang="ts">
import { powerChange } from '#core/station'
import type { StationPart } from '~/stations'

/** Power before and after, or why both go through one chain. */
const { run, result } = defineProps<StationPart>()
const words = computed(() => {
  const context = run.shownContext.value
  const change = context && powerChange(result.slots, context)
  return change
    ? `${change.words}. Both readings went through one chain, so what they share cancels.`
    : 'Before and after go through one chain, so that a change of a few hundredths of a decibel can be told.'
})
</script>

<template>
  <p class="small quiet helper">{{ words }}</p>
</template>
