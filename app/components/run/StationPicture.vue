<script setup lang="ts">
import type { Plot } from '#core/plot'
import { printMhz } from '#core/quantity'
import { stationById, stationPlots } from '#core/station'
import type { Step } from '#core/step'

/** The drawing of a station as a picture, by button and by key: of the radio in hand, or of its samples together. */
const { step } = defineProps<{ step: Step }>()
const store = useReviewStore()
const ui = useUiStore()
const { model } = useModels()
const shown = shallowRef<Plot | null>(null)

/** The drawing in which the step in hand stands; else the first. */
function open(): void {
  const [context, one] = [store.context, model.value]
  const plots = context && one ? stationPlots(stationById(step.stationId), one.sets, context) : []
  const mhz = printMhz(step.channel.frequencyHz)
  shown.value = plots.find(({ title }) => title.includes(mhz)) ?? plots[0] ?? null
  if (!shown.value) ui.say('There is nothing to draw yet: a picture comes with the first reading.')
}
useKeys({ v: open })
</script>

<template>
  <VBtn variant="text" size="small" @click="open">Picture</VBtn>
  <PictureDialog v-model="shown" />
</template>
