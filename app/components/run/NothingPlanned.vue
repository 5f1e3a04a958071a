<script setup lang="ts">
import type { StationRun } from '~/composables/useStationRun'
import type { StationView } from '~/stations'

/** What a station says where nothing is planned. */
const { run, view } = defineProps<{ run: StationRun; view: StationView }>()
const { placeTo } = useReviewRoute()
const words = computed(() => (run.set.value ? run.station.nothing : 'Add a radio first.'))
const own = computed(() => (run.set.value ? view.nothing : undefined))
</script>

<template>
  <section class="sheet nothing stack">
    <h1>{{ run.station.title }}</h1>
    <component :is="own" v-if="own" :run="run" />
    <p v-else>{{ words }}</p>
    <div class="row">
      <VBtn color="primary" :to="placeTo('card')">To card and claims</VBtn>
      <StationHelp :station-id="run.stationId" />
    </div>
  </section>
</template>
