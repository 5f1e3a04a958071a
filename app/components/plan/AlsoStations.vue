<script setup lang="ts">
import { stations, wantedStations } from '#core/station'

/** Which of the stations that are not in every review this one wants. */
const store = useReviewStore()
const ui = useUiStore()
const optional = stations.filter(station => station.optional)
const wanted = computed(() => new Set(store.context ? wantedStations(store.context).map(({ id }) => id) : []))

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
    <div class="also">
      <VCheckbox
        v-for="station in optional"
        :key="station.id"
        :model-value="wanted.has(station.id)"
        :label="station.title"
        :disabled="store.readOnly"
        @update:model-value="want(station.id, $event)"
      />
    </div>
  </section>
</template>

<style scoped>
.also :deep(.v-selection-control) {
  min-height: 28px;
}
</style>
