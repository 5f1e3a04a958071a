<script setup lang="ts">
import type { Instrument } from '#core/chain'
import { instrumentFields } from './instrumentFields'

const { instrument, locked } = defineProps<{ instrument: Instrument; locked: boolean }>()
const emit = defineEmits<{
  change: [label: string, recipe: (draft: Instrument) => void]
  duplicate: []
  remove: []
}>()

const KINDS: Record<Instrument['kind'], string> = {
  'power-meter': 'power meter',
  'spectrum-analyser': 'spectrum analyser',
  receiver: 'receiver or monitor: modulation, frequency, recordings',
  'signal-generator': 'signal generator',
  'audio-meter': 'sound card or audio meter',
  'ac-voltmeter': 'AC voltmeter',
  'antenna-analyser': 'antenna analyser',
}

const fields = computed(() => instrumentFields(instrument, (label, recipe) => emit('change', label, recipe)))
</script>

<template>
  <section class="sheet editor" :aria-label="`Instrument: ${instrument.name}`">
    <div class="spread">
      <h2>
        {{ instrument.name }} <span class="quiet small">{{ KINDS[instrument.kind] }}</span>
      </h2>
      <div class="row">
        <VBtn size="small" variant="outlined" :disabled="locked" @click="emit('duplicate')">Duplicate</VBtn>
        <VBtn size="small" variant="outlined" :disabled="locked" @click="emit('remove')">Remove</VBtn>
      </div>
    </div>
    <EditGrid :fields="fields" :locked="locked" />
    <InstrumentLink :instrument="instrument" />
    <PhaseNoiseTable
      v-if="instrument.kind === 'signal-generator'"
      :generator="instrument"
      :locked="locked"
      @change="(label, recipe) => emit('change', label, recipe)"
    />
    <VoltsCalibration
      v-if="instrument.kind === 'audio-meter'"
      :meter="instrument"
      :locked="locked"
      @change="(label, recipe) => emit('change', label, recipe)"
    />
    <p v-if="instrument.assumed" class="small quiet">
      This accuracy is a typical figure for such an instrument; the report says it is assumed until you give
      your own.
    </p>
  </section>
</template>
