<script setup lang="ts">
import { printHz, printNumber, printPercent } from '#core/quantity'
import { keptVolts, likelySlot, voltsOf } from '#core/station'
import type { Step } from '#core/step'
import type { StationRun } from '~/composables/useStationRun'
import type { HeardRecording, HeardStretch } from '~/workers/audio.worker'

/** The volts of each stretch of a recording, and what each of them is. */
const { recording, fullScaleV, run, step } = defineProps<{
  recording: HeardRecording
  fullScaleV: number
  run: StationRun
  step: Step
}>()
const emit = defineEmits<{ close: [] }>()

const LEFT_OUT = ''
const places = [
  { value: LEFT_OUT, title: 'leave out' },
  ...step.slots
    .filter(({ field }) => field.as === 'figure' && field.unit === 'V')
    .map(({ id, label }) => ({ value: id, title: label })),
]
const chosen = ref(recording.stretches.map(likelySlot))
const twice = computed(() => {
  const named = chosen.value.filter(id => id !== LEFT_OUT)
  return named.length > new Set(named).size
})
const count = computed(() => chosen.value.filter(id => id !== LEFT_OUT).length)

const howOf = ({ fromS, toS }: HeardStretch): string =>
  `${fromS.toFixed(1)} to ${toS.toFixed(1)} s of the recording`

function keep(): void {
  if (twice.value || count.value === 0) return
  const source = {
    kind: 'recording' as const,
    fileName: recording.fileName,
    sha256: recording.sha256,
    curveIds: [],
  }
  const kept = recording.stretches.flatMap((stretch, i) => {
    const slotId = chosen.value[i]!
    return slotId === LEFT_OUT
      ? []
      : [keptVolts(stretch, { slotId, fullScaleV, how: howOf(stretch), source })]
  })
  if (run.keep(kept, `${kept.length} voltages from ${recording.fileName}`)) emit('close')
}
</script>

<template>
  <VDialog :model-value="true" max-width="760" @update:model-value="emit('close')">
    <section class="sheet found stack" aria-label="Volts brought in">
      <h2>{{ recording.fileName }}</h2>
      <p class="small quiet">
        {{ recording.seconds.toFixed(1) }} s, {{ printNumber(fullScaleV, 3) }} V rms at full scale, 20 Hz to
        20 kHz.
      </p>
      <table class="plain">
        <thead>
          <tr>
            <th class="right">From</th>
            <th class="right">Volts</th>
            <th class="right">Tone</th>
            <th class="right">Distortion</th>
            <th>Keep as</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(stretch, i) in recording.stretches" :key="stretch.fromS">
            <td class="right figure">{{ stretch.fromS.toFixed(1) }} s</td>
            <td class="right figure" data-testid="stretch-volts">
              {{ printNumber(voltsOf(stretch, fullScaleV), 3) }} V
            </td>
            <td class="right figure">{{ printHz(stretch.toneHz, 4) }}</td>
            <td class="right figure">
              {{ stretch.distortion === null ? '–' : printPercent(stretch.distortion, 1) }}
            </td>
            <td>
              <VSelect v-model="chosen[i]" :items="places" :aria-label="`What stretch ${i + 1} is`" />
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="twice" class="wrong small" role="alert">Two stretches are the same: leave one out.</p>
      <div class="row">
        <VBtn color="primary" :disabled="twice || count === 0" @click="keep"
          >Keep {{ count }} {{ count === 1 ? 'voltage' : 'voltages' }}</VBtn
        >
        <VBtn variant="outlined" @click="emit('close')">Leave it</VBtn>
      </div>
    </section>
  </VDialog>
</template>

<style scoped>
.found {
  padding: 18px 20px;
  max-height: 84vh;
  overflow: auto;
}
</style>
