<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import type { LossPoint } from '#core/chain'
import { parseFrequency, parsePlainNumber } from '#core/quantity'

/** The points of a loss over frequency: listed, taken out, added. */
const { points, locked } = defineProps<{ points: readonly LossPoint[]; locked: boolean }>()
const emit = defineEmits<{ keep: [points: LossPoint[]] }>()

const row = reactive({ frequency: '', loss: '', error: '' })

function addPoint(): void {
  const frequency = parseFrequency(row.frequency)
  const loss = parsePlainNumber(row.loss, { min: -60, max: 200, unit: 'dB' })
  if (!frequency.ok) return void (row.error = frequency.message)
  if (!loss.ok) return void (row.error = loss.message)
  const { frequencyHz } = frequency
  emit(
    'keep',
    [...without(frequencyHz), { frequencyHz, lossDb: loss.value }].sort(
      (a, b) => a.frequencyHz - b.frequencyHz,
    ),
  )
  Object.assign(row, { frequency: '', loss: '', error: '' })
}

const without = (taken: number) => points.filter(({ frequencyHz }) => frequencyHz !== taken)

const remove = (point: LossPoint) => emit('keep', without(point.frequencyHz))
</script>

<template>
  <div class="points">
    <slot />
    <table class="plain">
      <thead>
        <tr>
          <th class="right">MHz</th>
          <th class="right">Loss, dB</th>
          <th><span class="only-read">Remove</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="point in points" :key="point.frequencyHz">
          <td class="right figure">{{ point.frequencyHz / 1e6 }}</td>
          <td class="right figure">{{ point.lossDb.toFixed(2) }}</td>
          <td>
            <VBtn
              icon
              size="small"
              variant="text"
              :aria-label="`Remove the point at ${point.frequencyHz / 1e6} MHz`"
              :disabled="locked"
              @click="remove(point)"
              ><VIcon :icon="mdiClose" size="16"
            /></VBtn>
          </td>
        </tr>
      </tbody>
    </table>
    <form class="row" @submit.prevent="addPoint">
      <VTextField
        v-model="row.frequency"
        label="Frequency"
        suffix="MHz"
        class="narrow"
        :disabled="locked"
        :error="row.error !== ''"
      />
      <VTextField
        v-model="row.loss"
        label="Loss"
        suffix="dB"
        class="narrow"
        :disabled="locked"
        :error="row.error !== ''"
      />
      <VBtn type="submit" variant="outlined" :disabled="locked">Add the point</VBtn>
    </form>
    <p v-if="row.error" class="wrong small" role="alert">{{ row.error }}</p>
    <p class="small quiet">
      Between points the loss is interpolated over log frequency. Outside the table there is no figure, and
      readings there are not covered.
    </p>
  </div>
</template>

<style scoped>
.points {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  max-width: 480px;
}
.narrow {
  max-width: 160px;
}
</style>
