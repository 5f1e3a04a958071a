<script setup lang="ts">
import { buildDischargeOption } from '~/charts/dischargeOption'
import type { StationPart } from '~/stations'

/** The log of a discharge that was brought in: volts over hours. */
const { run, result } = defineProps<StationPart>()
const palette = useChartPalette()
const { head, points } = useStepCurve(run.step, 'discharge')
const drawn = computed(() =>
  points.value && [...points.value.y].some(Number.isFinite) ? points.value : null,
)
const option = computed(() =>
  buildDischargeOption({
    palette: palette.value,
    points: drawn.value!,
    nominalV: result.step.set.battery.voltageV,
  }),
)
</script>

<template>
  <Drawing
    v-if="drawn"
    :option="option"
    :spoken="`Volts over the discharge, from ${head?.fileName}. ${head?.words}`"
    caption="The discharge"
    :note="head?.fileName"
  />
</template>
