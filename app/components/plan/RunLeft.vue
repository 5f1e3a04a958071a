<script setup lang="ts">
import type { Run, TimeLeft } from '#core/plan'
import { printDuration } from '#core/quantity'

/** How long what is open of the run will take; while it is being counted, how far that has come. */
const { run, left, share } = defineProps<{ run: Run; left: TimeLeft | null; share: number | null }>()
const percent = computed(() => (share === null ? null : Math.round(100 * share)))
</script>

<template>
  <section class="sheet panel" aria-label="What is left">
    <h2>Left to do</h2>
    <template v-if="left && left.openSteps">
      <p class="figure big">{{ printDuration(left.benchS) }}</p>
      <p class="small quiet">
        on the bench in {{ left.openSteps }} steps, {{ printDuration(left.keyDownS) }} of it keyed{{
          left.learned ? '; moving towards what steps really took' : ''
        }}.
      </p>
    </template>
    <p v-else-if="!left && percent !== null" role="status">Counting what is done: {{ percent }} %.</p>
    <p v-else-if="run.steps.length === 0">Nothing is planned yet.</p>
    <p v-else>Nothing. Every planned reading within reach is in.</p>
  </section>
</template>

<style scoped>
.big {
  font-size: 32px;
  font-weight: 700;
  line-height: 1.1;
}
</style>
