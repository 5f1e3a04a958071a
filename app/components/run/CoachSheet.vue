<script setup lang="ts">
import type { Coaching } from '#core/station'

/** What to do next, and why. */
const { coaching } = defineProps<{ coaching: Coaching }>()
</script>

<template>
  <section class="sheet panel coach" aria-label="Next" aria-live="polite" data-testid="coach">
    <h2>Next</h2>
    <p class="title">
      <VerdictMark v-if="coaching.isDone" state="inside" /> <strong>{{ coaching.title }}</strong>
    </p>
    <p v-for="words in coaching.words" :key="words" class="small quiet">{{ words }}</p>
  </section>
</template>

<style scoped>
.title {
  font-size: 17px;
}
</style>
