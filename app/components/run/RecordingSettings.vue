<script setup lang="ts">
import { printSigned } from '#core/quantity'
import { partRange } from '#core/signal'
import type { RecordingSetup } from '~/composables/recordingSetup'
import type { RecordingLook } from '~/workers/recording.worker'

/** How a recording is read, short; the fields open where it is to be read otherwise. */
const setup = defineModel<RecordingSetup>({ required: true })
const { look, busy, hasProblem } = defineProps<{
  look: RecordingLook
  busy: boolean
  hasProblem: boolean
}>()
const emit = defineEmits<{ read: [] }>()

const KINDS = [
  { value: 'iq', title: 'I and Q' },
  { value: 'audio', title: 'Audio' },
]
const isIq = computed(() => setup.value.as === 'iq')
const channels = computed(() => {
  const length = isIq.value ? Math.floor(look.channels / 2) : look.channels
  return Array.from({ length }, (_unused, value) => ({ value, title: String(value + 1) }))
})
watch(isIq, () => {
  setup.value.channel = 0
})

const readAs = computed(() => {
  const { shiftHz, fromS, toS } = setup.value
  return [
    isIq.value ? 'as I and Q' : 'as audio',
    shiftHz === null ? 'the strongest signal' : `the signal ${printSigned(shiftHz, 0)} Hz from the middle`,
    fromS === null && toS === null ? 'all of it' : partRange({ fromS, toS }),
  ].join(', ')
})
</script>

<template>
  <details :open="hasProblem || undefined">
    <summary class="small">How it is read: {{ readAs }}</summary>
    <div class="settings">
      <VSelect v-if="look.mayBeIq" v-model="setup.as" :items="KINDS" label="The two channels are" />
      <VSelect
        v-if="channels.length > 1"
        v-model="setup.channel"
        :items="channels"
        :label="isIq ? 'Which pair' : 'Which channel'"
      />
      <NumberField v-model="setup.sampleRateHz" label="Samples a second" :min="100" :max="1e9" />
      <NumberField
        v-model="setup.centreHz"
        label="Middle of the recording"
        frequency
        optional
        empty-words="not known"
      />
      <NumberField
        v-model="setup.shiftHz"
        label="Signal from the middle"
        unit="Hz"
        :min="-1e9"
        :max="1e9"
        optional
        empty-words="the strongest"
      />
      <NumberField
        v-if="isIq"
        v-model="setup.phaseNoiseDbcPerHz"
        label="Phase noise, 10 kHz"
        unit="dBc/Hz"
        :min="-180"
        :max="-40"
      />
      <NumberField
        v-model="setup.fromS"
        label="Only from"
        unit="s"
        :min="0"
        :max="1e6"
        optional
        empty-words="the start"
      />
      <NumberField
        v-model="setup.toS"
        label="Only to"
        unit="s"
        :min="0"
        :max="1e6"
        optional
        empty-words="the end"
      />
      <VBtn variant="outlined" :disabled="busy" @click="emit('read')">Read again</VBtn>
    </div>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
}
.settings {
  padding-top: 10px;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px;
  align-items: start;
}
</style>
