<script setup lang="ts">
import type { StationPart } from '~/stations'
import { useOffAirRadios } from './useOffAirRadios'

/** The strongest harmonic of the other radios at the same place. */
const { run, result } = defineProps<StationPart>()
const { beside } = useOffAirRadios(run, () => result)
</script>

<template>
  <p v-if="beside" class="small quiet helper">
    Strongest harmonic of the others at the same place: {{ beside }}.
  </p>
</template>
