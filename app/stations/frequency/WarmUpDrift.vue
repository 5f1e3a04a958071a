<script setup lang="ts">
import { printSigned } from '#core/quantity'
import { warmUpDriftHz } from '#core/station'
import type { StationPart } from '~/stations'

/** How far the carrier moved while the radio warmed up. */
const { result } = defineProps<StationPart>()
const words = computed(() => {
  const hz = warmUpDriftHz(result)
  if (hz === null) return ''
  const ppm = (hz / result.step.channel.frequencyHz) * 1e6
  return `It moves by ${printSigned(hz, 0)} Hz (${printSigned(ppm, 2)} ppm) from cold to warm.`
})
</script>

<template>
  <p v-if="words" class="small quiet helper">{{ words }}</p>
</template>
