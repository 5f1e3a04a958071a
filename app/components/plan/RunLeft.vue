<script setup lang="ts">
import { type Run, timeLeft } from '#core/plan'
import { printDuration } from '#core/quantity'

/** How long what is open of the run will take. */
const { run } = defineProps<{ run: Run }>()
const store = useReviewStore()
const left = computed(() => (store.context ? timeLeft(run.steps, store.context) : null))
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
