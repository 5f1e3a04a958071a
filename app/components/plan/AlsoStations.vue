<script setup lang="ts">
import { fewNames } from '#core/review'
import { stations, wantedStations } from '#core/station'

/** Which of the stations that are not in every review this one wants. */
const store = useReviewStore()
const ui = useUiStore()
const optional = stations.filter(station => station.optional)
/** Two dozen boxes are drawn once they are asked for. */
const wasOpened = ref(false)
const wanted = computed(() => new Set(store.context ? wantedStations(store.context).map(({ id }) => id) : []))

/** The wanted in a row; the rest counted. */
const words = computed(() => {
  const chosen = optional
    .filter(({ id }) => wanted.value.has(id))
    .map(({ shortTitle, title }) => shortTitle ?? title)
  return chosen.length > 0
    ? `${fewNames(chosen)}; ${chosen.length} of ${optional.length}`
    : `None of ${optional.length} chosen`
})

function want(id: string, value: boolean | null): void {
  store.change('which stations this review wants', draft => {
    const others = draft.settings.alsoStations.filter(other => other !== id)
    draft.settings.alsoStations = value ? [...others, id] : others
  })
  if (!value && wanted.value.has(id)) ui.say(staysWords(id))
}

/** Why a station stays in the run all the same. */
function staysWords(id: string): string {
  const isRead = store.review?.readings.some(({ stationId }) => stationId === id) ?? false
  return isRead
    ? 'Something was read there already, so it stays in the run.'
    : 'The bench has a generator for it, so it stays in the run. Leave its steps out one by one instead.'
}
</script>

<template>
  <section class="sheet panel" aria-label="Also in this review">
    <h2>Also in this review</h2>
    <p class="small quiet">{{ words }}</p>
    <details @toggle="wasOpened = true">
      <summary>Choose</summary>
      <div v-if="wasOpened" class="also">
        <VCheckbox
          v-for="station in optional"
          :key="station.id"
          :model-value="wanted.has(station.id)"
          :label="station.title"
          :disabled="store.readOnly"
          @update:model-value="want(station.id, $event)"
        />
      </div>
    </details>
  </section>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-weight: 600;
  margin-top: 6px;
}
.also :deep(.v-selection-control) {
  min-height: 28px;
}
</style>
