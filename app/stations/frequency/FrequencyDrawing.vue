<script setup lang="ts">
import { setShortName } from '#core/review'
import { scalarLimitHz } from '~/charts/limitOf'
import { buildLevelsOption } from '~/charts/levelsOption'
import { nothingToDraw } from '~/charts/nothingToDraw'
import { spokenFigures } from '~/charts/spoken'
import type { StationPart } from '~/stations'

/** Frequency error of all radios on the same band, cold and warm, in parts per million. */
const { run, result } = defineProps<StationPart>()
const palette = useChartPalette()
const others = useSameBand(run, () => result)

const radios = computed(() =>
  others.value.flatMap(({ set, result: found, here }) => {
    const { frequencyHz } = found.step.channel
    const values = found.slots.map(slot => (slot.found ? (slot.found.value / frequencyHz) * 1e6 : null))
    return values.some(value => value !== null) ? [{ name: setShortName(set), here, values }] : []
  }),
)
const limitPpm = computed(() => {
  const limitHz = scalarLimitHz(result)
  return limitHz === null ? null : (limitHz / result.step.channel.frequencyHz) * 1e6
})
const option = computed(() =>
  buildLevelsOption({
    palette: palette.value,
    places: ['cold', 'warm'],
    radios: radios.value,
    unit: 'ppm',
    limit: limitPpm.value,
  }),
)
</script>

<template>
  <Drawing
    :option="option"
    :spoken="spokenFigures('Frequency error in parts per million', result)"
    caption="Error, cold and warm"
    :note="`all radios on ${result.step.band.name}`"
    :nothing="nothingToDraw(result, radios[0])"
  />
</template>
