<script setup lang="ts">
import { placeWords } from '#core/step'
import { setName } from '#core/review'
import { stations } from '#core/station'
import { places } from '~/keys/places'

const ui = useUiStore()
const store = useReviewStore()
const { go, set: current } = useReviewRoute()
const text = ref('')

interface Target {
  id: string
  words: string
  run: () => void
}

useKeys({
  '/': event => {
    if (!store.review) return
    event.preventDefault()
    text.value = ''
    ui.findOpen = true
  },
})

const targets = computed<Target[]>(() => {
  const context = store.context
  if (!context || !ui.findOpen) return []
  const ofPlaces = places().map(place => ({ id: place.id, words: place.title, run: () => go(place.id) }))
  const sets = context.review.sets.map(set => ({
    id: set.id,
    words: `Card of ${setName(set)}`,
    run: () => go('card', { set: set.id }),
  }))
  const steps = context.review.sets.flatMap(set =>
    stations.flatMap(station =>
      station.plan(set, context).map(step => ({
        id: `${set.id}:${step.id}`,
        words: `${station.title}, ${setName(set)}, ${placeWords(step)}`,
        run: () => go(station.id, { set: set.id, step: step.id }),
      })),
    ),
  )
  return [
    ...ofPlaces,
    ...sets,
    ...steps.sort(
      (a, b) =>
        Number(b.id.startsWith(current.value?.id ?? '-')) - Number(a.id.startsWith(current.value?.id ?? '-')),
    ),
  ]
})

const found = computed(() => {
  const words = text.value.toLowerCase().split(/\s+/).filter(Boolean)
  return targets.value
    .filter(target => words.every(word => target.words.toLowerCase().includes(word)))
    .slice(0, 12)
})

function take(target: Target | undefined): void {
  if (!target) return
  ui.findOpen = false
  target.run()
}
</script>

<template>
  <VDialog v-model="ui.findOpen" max-width="560" aria-label="Find">
    <VCard class="card">
      <VTextField
        v-model="text"
        label="Find a place, a radio or a step"
        autofocus
        @keydown.enter="take(found[0])"
      />
      <ul class="found">
        <li v-for="target in found" :key="target.id">
          <button type="button" @click="take(target)">{{ target.words }}</button>
        </li>
      </ul>
      <p v-if="found.length === 0" class="quiet">
        Nothing of that name. Try part of a frequency, a level or a radio.
      </p>
    </VCard>
  </VDialog>
</template>

<style scoped>
.card {
  padding: 18px;
  display: grid;
  gap: 10px;
}
.found {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
}
.found button {
  width: 100%;
  text-align: left;
  padding: 8px 10px;
  border-radius: 4px;
  color: var(--ink);
}
.found button:hover,
.found button:focus-visible,
.found li:first-child button {
  background: rgb(var(--v-theme-inside-wash));
}
</style>
