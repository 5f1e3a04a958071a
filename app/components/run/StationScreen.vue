<script setup lang="ts">
import { goingOverBefore } from '#core/plan'
import { stationView } from '~/stations'

/** One station: its own panel where it has one, else the usual screen. */
const { stationId } = defineProps<{ stationId: string }>()
const run = useStationRun(stationId)
const view = stationView(stationId)
const isEmpty = computed(() => run.steps.value.length === 0)
/** The radio’s socket stands ready for the other work: that is seen to first. */
const going = computed(() => (run.step.value ? goingOverBefore(run.step.value) : null))
</script>

<template>
  <NothingPlanned v-if="isEmpty" :run="run" :view="view" />
  <GoingOver v-else-if="going" :going="going" />
  <component :is="view.panel" v-else-if="view.panel" :run="run" />
  <StationFrame v-else :run="run" :view="view" />
</template>
