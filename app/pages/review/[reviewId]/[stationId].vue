<script setup lang="ts">
import { stations } from '#core/station'
import StationScreen from '~/components/run/StationScreen.vue'

/** Every station’s page: the station of the address, or a word that there is none. */
const route = useRoute()
const { placeTo } = useReviewRoute()
const stationId = computed(() => String(route.params.stationId ?? ''))
const known = computed(() => stations.some(({ id }) => id === stationId.value))
</script>

<template>
  <StationScreen v-if="known" :key="stationId" :station-id="stationId" />
  <section v-else class="sheet nothing stack">
    <h1>No such place</h1>
    <p>This version has no station “{{ stationId }}”. The review is as it was.</p>
    <NuxtLink :to="placeTo('findings')">To the findings</NuxtLink>
  </section>
</template>
