<script setup lang="ts">
import { deEmphasisDb, RESPONSE_HZ } from '#core/station'
import { buildResponseOption } from '~/charts/responseOption'
import { spokenFigures } from '~/charts/spoken'
import type { StationPart } from '~/stations'

/** The response against 1 kHz, beside de-emphasis. */
const { result } = defineProps<StationPart>()
const palette = useChartPalette()

const points = computed(() =>
  result.slots.flatMap(({ slot, found, state }): [number, number][] => {
    if (slot.kind.is !== 'response' || state !== 'read') return []
    const hz = Number(slot.kind.hz)
    if (found?.unit === 'dB') return [[hz, found.value]]
    return hz === 1000 ? [[hz, 0]] : []
  }),
)
const ideal = [200, ...RESPONSE_HZ, 4000].map((hz): [number, number] => [hz, deEmphasisDb(hz)])
const option = computed(() => buildResponseOption({ palette: palette.value, points: points.value, ideal }))
</script>

<template>
  <Drawing
    :option="option"
    :spoken="spokenFigures('Audio', result)"
    caption="Response against 1 kHz"
    note="dashed: de-emphasis of 750 µs"
    :nothing="points.length > 1 ? '' : 'Nothing to draw yet: volts at 1 kHz and at one other tone draw it.'"
  />
</template>
