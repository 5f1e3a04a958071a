<script setup lang="ts">
import { OFF_AIR_HIGHEST } from '#core/station'
import { buildLevelsOption } from '~/charts/levelsOption'
import { nothingToDraw } from '~/charts/nothingToDraw'
import type { StationPart } from '~/stations'
import { useOffAirRadios } from './useOffAirRadios'

/** Harmonics of all radios against their carriers, off the air. */
const { run, result } = defineProps<StationPart>()
const palette = useChartPalette()
const { radios, beside } = useOffAirRadios(run, () => result)

const PLACES = Array.from({ length: OFF_AIR_HIGHEST - 1 }, (_unused, i) => `×${i + 2}`)
const option = computed(() =>
  buildLevelsOption({ palette: palette.value, unit: 'dBc', places: PLACES, radios: radios.value }),
)
const spoken = computed(() => `Harmonics off the air against the carrier. ${result.words}. ${beside.value}`)
const note = computed(() => `all radios on ${result.step.band.name}; levels as the analyser shows them`)
</script>

<template>
  <Drawing
    :option="option"
    :spoken="spoken"
    caption="Harmonics against the carrier, off the air"
    :note="note"
    :nothing="nothingToDraw(result, radios[0])"
  />
</template>
