<script setup lang="ts">
import { useTurns } from '~/composables/useTurns'

/** Draws what stands in it some turns after it was placed, so that the page answers before. */
const { turn = 1 } = defineProps<{ turn?: number }>()
const due = useTurns(turn + 1)
</script>

<template>
  <slot v-if="due > turn" />
</template>
