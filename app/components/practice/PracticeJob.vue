<script setup lang="ts">
import type { Context } from '#core/context'
import { hasTruth } from '#core/practice'
import { stations } from '#core/station'
import type { RadioSet } from '#core/review'

/** What the evening asks, and how far the review is. */
const { job, set, context } = defineProps<{ job: string; set: RadioSet; context: Context }>()
const { placeTo } = useReviewRoute()

/** Stations the bench and its envelope have something for, with what was read of them. */
const lines = computed(() =>
  stations
    .filter(({ id }) => hasTruth(id))
    .flatMap(station => {
      const steps = station
        .plan(set, context)
        .filter(step => Object.values(step.chains).some(id => id !== null))
      if (steps.length === 0) return []
      const read = steps.filter(step => context.readingsOf(step).size > 0).length
      return [
        {
          id: station.id,
          title: station.title,
          words: read === 0 ? 'open' : `${read} of ${steps.length} steps`,
          isRead: read > 0,
        },
      ]
    }),
)
</script>

<template>
  <section class="sheet job" aria-label="Your job">
    <h2>Your job</h2>
    <p>{{ job }}</p>
    <p class="small">
      <NuxtLink :to="placeTo('card')" class="link">The card</NuxtLink> and
      <NuxtLink :to="placeTo('bench')" class="link">the bench</NuxtLink> are as somebody left them.
    </p>
    <ul>
      <li v-for="line in lines" :key="line.id">
        <span aria-hidden="true" class="mark">{{ line.isRead ? '◆' : '○' }}</span>
        <NuxtLink :to="placeTo(line.id)" class="link">{{ line.title }}</NuxtLink>: {{ line.words }}
      </li>
    </ul>
    <p class="small quiet">
      Something here is not as it should be; sometimes two things. Nothing warns you that a real bench would
      not.
    </p>
  </section>
</template>

<style scoped>
.job {
  padding: 14px 16px;
  display: grid;
  gap: 8px;
  align-content: start;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 3px;
}
.mark {
  display: inline-block;
  width: 20px;
}
</style>
