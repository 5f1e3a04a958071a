<script setup lang="ts">
import type { AudioMeter, Instrument } from '#core/chain'
import { parseFigure, parsePlainNumber, printNumber } from '#core/quantity'

/** Volts of a sound card at full scale, found with a voltage that is known. */
const { meter, locked } = defineProps<{ meter: AudioMeter; locked: boolean }>()
const emit = defineEmits<{ change: [label: string, recipe: (draft: Instrument) => void] }>()

const row = reactive({ volts: '', shown: '', error: '' })
const words = computed(() =>
  meter.fullScaleV === null
    ? 'Not calibrated. SINAD needs none; audio power does.'
    : `A sine of ${printNumber(meter.fullScaleV, 3)} V rms stands at full scale.`,
)

function keepVolts(fullScaleV: number | null): void {
  emit('change', 'the volts of a sound card', draft => {
    if (draft.kind === 'audio-meter') draft.fullScaleV = fullScaleV
  })
}

function calibrate(): void {
  const volts = parseFigure(row.volts, { unit: 'V', min: 1e-4, max: 1000 })
  const shown = parsePlainNumber(row.shown, { min: -100, max: 0, unit: 'dB' })
  if (!volts.ok) return void (row.error = volts.message)
  if (!shown.ok) return void (row.error = shown.message)
  keepVolts(Number((volts.value / 10 ** (shown.value / 20)).toPrecision(6)))
  Object.assign(row, { volts: '', shown: '', error: '' })
}
</script>

<template>
  <div class="volts">
    <h3>Volts</h3>
    <p class="small quiet">
      {{ words }} Feed it a sine whose voltage you know, and say how far below full scale its level stands.
    </p>
    <form class="row" @submit.prevent="calibrate">
      <VTextField
        v-model="row.volts"
        label="Known voltage"
        suffix="V rms"
        class="narrow"
        :disabled="locked"
      />
      <VTextField
        v-model="row.shown"
        label="It stands at"
        suffix="dB of full scale"
        class="narrow"
        :disabled="locked"
      />
      <VBtn type="submit" variant="outlined" :disabled="locked">Calibrate</VBtn>
      <VBtn v-if="meter.fullScaleV !== null" variant="text" :disabled="locked" @click="keepVolts(null)"
        >Forget it</VBtn
      >
    </form>
    <p v-if="row.error" class="wrong small" role="alert">{{ row.error }}</p>
  </div>
</template>

<style scoped>
.volts {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}
h3 {
  font-size: 15px;
}
.narrow {
  max-width: 190px;
}
</style>
