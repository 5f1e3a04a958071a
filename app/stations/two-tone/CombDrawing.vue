<script setup lang="ts">
import { combOf, combOfFigures } from '#core/signal'
import { isRead } from '#core/step'
import { buildChannelSpectrumOption } from '~/charts/channelSpectrumOption'
import { curveNote } from '~/charts/curveNote'
import { nothingToDraw } from '~/charts/nothingToDraw'
import { spokenFigures } from '~/charts/spoken'
import type { StationPart } from '~/stations'

/** The comb: tones and products named in the kept spectrum, or as the typed figures make it. */
const { run, result } = defineProps<StationPart>()
const palette = useChartPalette()
const { head, points } = useStepCurve(run.step, 'spectrum')

/** Tones 700 and 1900 Hz, where only figures were typed. */
const TYPED_SPACING_HZ = 1200

const typed = computed(() =>
  Object.fromEntries(
    result.slots.flatMap(one =>
      one.slot.kind.is === 'product' && isRead(one) && one.found
        ? [[Number(one.slot.kind.order), one.found.value]]
        : [],
    ),
  ),
)
const option = computed(() => {
  const curve = points.value
  const teeth = curve ? combOf(curve) : combOfFigures(typed.value, TYPED_SPACING_HZ)
  return buildChannelSpectrumOption({
    palette: palette.value,
    curve,
    bands: [],
    levelName: 'dB',
    halfWidthHz: run.station.recording!.halfWidthHz(result.step),
    upright: curve === null,
    lines: teeth.map(({ hz, levelDb, order }) => ({
      hz,
      levelDb,
      label: order === 1 ? 'tone' : `IMD${order}`,
    })),
  })
})
</script>

<template>
  <Drawing
    :option="option"
    :spoken="spokenFigures('Two tones and their products', result)"
    tall
    caption="The comb"
    :note="curveNote(head, points)"
    :nothing="nothingToDraw(result, points)"
  />
</template>
