<script setup lang="ts">
import { antennaAt, matchesOf, USUAL_VSWR, vswrOfSweep } from '#core/station'
import { spokenFigures } from '~/charts/spoken'
import { buildVswrOption, type DrawnMatch } from '~/charts/vswrOption'
import type { StationPart } from '~/stations'

/** The match of this antenna over frequency, and of the set’s other antennas on the same band. */
const { run, result } = defineProps<StationPart>()
const palette = useChartPalette()
const { head, points } = useStepCurve(run.step, 'reflection')

const sweep = computed<[number, number][]>(() => {
  const curve = points.value
  if (!curve) return []
  const vswr = vswrOfSweep(curve)
  return [...curve.x].map((hz, i) => [hz, vswr[i]!])
})
const antennas = computed<DrawnMatch[]>(() => {
  const context = run.shownContext.value
  if (!context) return []
  return run.station
    .plan(result.step.set, context)
    .filter(({ band }) => band.id === result.step.band.id)
    .map(step => ({
      name: step.variant?.title ?? '',
      here: step.id === result.step.id,
      sweep: step.id === result.step.id ? sweep.value : [],
      channels: matchesOf(step, context).map(({ channel, vswr }) => [channel.frequencyHz, vswr] as const),
    }))
    .filter(({ sweep: line, channels }) => line.length + channels.length > 0)
    .sort((a, b) => Number(b.here) - Number(a.here))
})
const label = computed(() => {
  const antenna = run.shownContext.value && antennaAt(result.step, run.shownContext.value)
  if (!antenna?.labelHz) return null
  const [fromHz, toHz] = antenna.labelHz
  return { fromHz, toHz, vswr: antenna.labelVswr ?? USUAL_VSWR }
})
const option = computed(() =>
  buildVswrOption({
    palette: palette.value,
    antennas: antennas.value,
    label: label.value,
    usual: USUAL_VSWR,
  }),
)
const note = computed(() => (head.value ? `sweep from ${head.value.fileName}` : 'dots: channels as read'))
</script>

<template>
  <Drawing
    :option="option"
    :spoken="spokenFigures('VSWR over frequency', result)"
    caption="How well it is matched"
    :note="note"
    :nothing="antennas.length ? '' : 'Nothing to draw yet: type the match at a channel, or bring in a sweep.'"
  />
</template>
