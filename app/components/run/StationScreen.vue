<script setup lang="ts">
import { stationView } from '~/stations'

/** One station: its own panel where it has one, else the usual screen. */
const { stationId } = defineProps<{ stationId: string }>()
const run = useStationRun(stationId)
const view = stationView(stationId)
const isEmpty = computed(() => run.steps.value.length === 0)
</script>

<template>
  <NothingPlanned v-if="isEmpty" :run="run" :view="view" />
  <component :is="view.panel" v-else-if="view.panel" :run="run" />
  <StationFrame v-else :run="run" :view="view" />
</template>
