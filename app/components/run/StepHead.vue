<script setup lang="ts">
import { placeWords, type Step } from '#core/step'
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import { microvolts } from '#core/hearing'
import { printDb, printDbm, printMhzFigure, printSignificant, printSigned } from '#core/quantity'
import type { Coaching } from '#core/station'

const {
  step,
  index,
  count,
  title,
  coaching = null,
} = defineProps<{
  step: Step
  index: number
  count: number
  title: string
  /** What the generator is to be set to, where the radio hears. */
  coaching?: Coaching | null
}>()
const emit = defineEmits<{ go: [by: number] }>()

/** What stands behind the title: where the step is read. */
const whereWords = computed(() => {
  switch (step.covers) {
    case 'channel':
      return `${step.band.name}, ${step.channel.name || 'unnamed channel'}`
    default:
      return placeWords(step)
  }
})
const hears = computed(() => step.work === 'hears')
const setDbm = computed(() => coaching?.next?.levelDbm ?? null)
const socketWords = computed(() => {
  const socketDbm = coaching?.socketDbm ?? null
  if (socketDbm === null || setDbm.value === null) return ''
  const { pdUv, emfUv } = microvolts(setDbm.value)
  const lossDb = setDbm.value - socketDbm
  return (
    `${printSignificant(pdUv, 3)} µV pd, ${printSignificant(emfUv, 3)} µV emf on the generator. ` +
    `The path takes ${printDb(lossDb)}: ${printDbm(socketDbm)} at the socket.`
  )
})
</script>

<template>
  <header class="head">
    <div class="spread">
      <h1 class="where">
        {{ title }}
        <span class="quiet">· step {{ index + 1 }} of {{ count }} · {{ whereWords }}</span>
      </h1>
      <div class="row nav">
        <StationHelp :station-id="step.stationId" :cautions="step.cautions" />
        <StationPicture :step="step" />
        <VBtn
          size="small"
          variant="outlined"
          :disabled="index <= 0"
          :prepend-icon="mdiChevronLeft"
          @click="emit('go', -1)"
          >Back</VBtn
        >
        <VBtn
          size="small"
          variant="outlined"
          :disabled="index >= count - 1"
          :append-icon="mdiChevronRight"
          @click="emit('go', 1)"
          >Next</VBtn
        >
      </div>
    </div>
    <div class="now" aria-label="What to set now">
      <span v-if="step.covers !== 'channel'" class="figure big" data-testid="set-now">{{
        step.covers === 'band' ? step.band.name : 'Whole set'
      }}</span>
      <template v-else-if="hears">
        <template v-if="setDbm !== null">
          <span class="figure big" data-testid="set-level">{{ printSigned(setDbm, 1) }}</span><span
            class="unit"
            >dBm on the generator</span
          >
        </template>
        <span class="level figure" data-testid="set-now"
          >{{ printMhzFigure(step.channel.frequencyHz) }} MHz</span
        >
      </template>
      <template v-else>
        <span class="figure big" data-testid="set-now">{{
          printMhzFigure(step.channel.frequencyHz)
        }}</span><span class="unit">MHz</span>
        <span class="level figure">{{ step.setting.level.name.toUpperCase() }}</span>
      </template>
      <span class="instruction">{{ step.instruction }}</span>
    </div>
    <p v-if="socketWords" class="small quiet">{{ socketWords }}</p>
  </header>
</template>

<style scoped>
.head {
  display: grid;
  gap: 4px;
}
.where {
  font-size: 15px;
  font-weight: 600;
}
.where .quiet {
  font-weight: 400;
}
.now {
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 4px 14px;
}
.big {
  font-size: 44px;
  line-height: 1.1;
  font-weight: 700;
  letter-spacing: -0.01em;
}
.unit {
  font-size: 18px;
  color: var(--ink-2);
}
.level {
  font-size: 20px;
  font-weight: 700;
  border: 2px solid var(--ink);
  border-radius: var(--radius);
  padding: 2px 12px;
  align-self: center;
  background: var(--sheet);
}
.instruction {
  color: var(--ink-2);
}
@media (max-width: 600px) {
  .big {
    font-size: 38px;
  }
}
</style>
