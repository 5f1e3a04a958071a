<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { type Instrument, phaseNoiseAt, type SignalGenerator } from '#core/chain'
import { parsePlainNumber, printNumber } from '#core/quantity'

/** A generator’s noise beside its carrier, by offset: what it cannot see past in a rejection. */
const { generator, locked } = defineProps<{ generator: SignalGenerator; locked: boolean }>()
const emit = defineEmits<{ change: [label: string, recipe: (draft: Instrument) => void] }>()

const row = reactive({ offset: '', noise: '', error: '' })
const points = computed(() => [...generator.phaseNoise].sort((a, b) => a.offsetHz - b.offsetHz))
const at20kHz = computed(() => phaseNoiseAt(generator, 20e3))

function keep(phaseNoise: SignalGenerator['phaseNoise']): void {
  emit('change', 'a generator’s phase noise', draft => {
    if (draft.kind === 'signal-generator') draft.phaseNoise = phaseNoise
  })
}

const without = (offsetHz: number) => points.value.filter(point => point.offsetHz !== offsetHz)

function addPoint(): void {
  const offset = parsePlainNumber(row.offset, { min: 0.001, max: 1e6, unit: 'kHz' })
  const noise = parsePlainNumber(row.noise, { min: -200, max: 0, unit: 'dBc' })
  if (!offset.ok) return void (row.error = offset.message)
  if (!noise.ok) return void (row.error = noise.message)
  const offsetHz = offset.value * 1e3
  keep([...without(offsetHz), { offsetHz, dbcPerHz: noise.value }])
  Object.assign(row, { offset: '', noise: '', error: '' })
}
</script>

<template>
  <div class="points">
    <h3>Phase noise</h3>
    <table v-if="points.length" class="plain">
      <thead>
        <tr>
          <th class="right">Offset, kHz</th>
          <th class="right">dBc in 1 Hz</th>
          <th><span class="only-read">Remove</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="point in points" :key="point.offsetHz">
          <td class="right figure">{{ point.offsetHz / 1e3 }}</td>
          <td class="right figure">{{ printNumber(point.dbcPerHz, 1) }}</td>
          <td>
            <VBtn
              icon
              size="small"
              variant="text"
              :aria-label="`Remove the point at ${point.offsetHz / 1e3} kHz`"
              :disabled="locked"
              @click="keep(without(point.offsetHz))"
              ><VIcon :icon="mdiClose" size="16"
            /></VBtn>
          </td>
        </tr>
      </tbody>
    </table>
    <form class="row" @submit.prevent="addPoint">
      <VTextField
        v-model="row.offset"
        label="Offset"
        suffix="kHz"
        class="narrow"
        :disabled="locked"
        :error="row.error !== ''"
      />
      <VTextField
        v-model="row.noise"
        label="L(offset)"
        suffix="dBc/Hz"
        class="narrow"
        :disabled="locked"
        :error="row.error !== ''"
      />
      <VBtn type="submit" variant="outlined" :disabled="locked">Add the point</VBtn>
    </form>
    <p v-if="row.error" class="wrong small" role="alert">{{ row.error }}</p>
    <p class="small quiet">
      At 20 kHz it is {{ printNumber(at20kHz.dbcPerHz, 0) }} dBc/Hz{{
        at20kHz.assumed ? ', assumed until you give your own' : ''
      }}: no rejection above about {{ printNumber(-at20kHz.dbcPerHz - 41 - 2, 0) }} dB can be seen with it as
      the interferer on a wide channel.
    </p>
  </div>
</template>

<style scoped>
.points {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  max-width: 480px;
}
h3 {
  font-size: 15px;
}
.narrow {
  max-width: 160px;
}
</style>
