<script setup lang="ts">
import { analysisFacts } from '#core/signal'
import type { RecordingUse } from '#core/station'
import type { Step } from '#core/step'
import type { FoundInRecording } from '~/composables/useKeepRecording'
import type { Recordings } from '~/composables/useRecordings'

/** What a recording holds, to be looked at before its figures are kept. */
const { recordings, step, use } = defineProps<{ recordings: Recordings; step: Step; use: RecordingUse }>()
const emit = defineEmits<{ take: [value: FoundInRecording] }>()

const { looks, setup, analysis, taken, progress, problem } = recordings
const open = computed(() => looks.value.length > 0)
const look = computed(() => (setup.value ? (looks.value[setup.value.index] ?? null) : null))
const names = computed(() => looks.value.map(({ name }, value) => ({ value, title: name })))
const targets = computed(() => use.targets.map(({ id, title }) => ({ value: id, title })))
const target = ref('')
const busy = ref(false)
watch(
  open,
  now => {
    busy.value = false
    if (now) target.value = use.targets[0]?.id ?? ''
  },
  { immediate: true },
)

const figures = computed(() =>
  analysis.value
    ? use.figures(analysis.value, { step, target: target.value, centreHz: setup.value?.centreHz ?? null })
    : [],
)
const facts = computed(() =>
  analysis.value ? analysisFacts(analysis.value, setup.value?.centreHz ?? null) : [],
)
const keepWords = computed(() => {
  const count = figures.value.length
  return `Keep ${count} ${count === 1 ? 'figure' : 'figures'}`
})
const isPart = computed(() => setup.value?.fromS !== null || setup.value.toS !== null)

const spectrum = useRecordingSpectrum(recordings, {
  step: () => step,
  halfWidthHz: () => use.halfWidthHz(step),
})
const { option, closer, toggleCloser } = spectrum
const { takeAnnotations, takeCsv } = useRecordingFiles(recordings, {
  look: () => look.value,
  carrierComment: () => facts.value.slice(0, 2).join(' '),
  spectrum,
})

function choose(index: number): void {
  recordings.choose(index)
  void recordings.analyse()
}

function take(): void {
  if (!analysis.value) return
  busy.value = true
  emit('take', { analysis: analysis.value, figures: figures.value })
}

function close(): void {
  if (progress.value !== null) void recordings.cancel()
  recordings.drop()
}
</script>

<template>
  <VDialog :model-value="open" max-width="860" scrollable persistent @keydown.esc="close">
    <VCard v-if="look && setup" class="dialog" data-testid="recording">
      <h2>Recording “{{ look.name }}”</h2>
      <VSelect
        v-if="names.length > 1"
        :model-value="setup.index"
        :items="names"
        label="Which of the recordings"
        @update:model-value="choose"
      />
      <p class="small">{{ look.understood.join(' · ') }}</p>
      <p v-for="line in look.warnings" :key="line" class="small doubt">{{ line }}</p>
      <RecordingSettings
        v-model="setup"
        :look="look"
        :busy="progress !== null"
        :has-problem="problem !== ''"
        @read="recordings.analyse"
      />
      <RecordingProgress
        v-if="progress !== null"
        :share="progress"
        :bytes="look.bytes"
        :is-part="isPart"
        @cancel="recordings.cancel"
      />
      <p v-if="problem" class="doubt" role="alert">{{ problem }}</p>
      <div v-if="analysis" class="found">
        <VSelect v-if="targets.length > 1" v-model="target" :items="targets" label="This recording holds" />
        <RecordingFigures :figures="figures" :step="step" />
        <TimeFrequencyPicture
          :picture="analysis.picture"
          :seconds="analysis.seconds"
          :from-s="taken?.fromS ?? 0"
          :width-hz="analysis.sampleRateHz"
          :floor-db="analysis.noiseFloorDb"
        />
        <Drawing :option="option" :spoken="`Spectrum around the carrier. ${facts[0] ?? ''}`" />
        <ul class="small understood">
          <li v-for="line in facts" :key="line">{{ line }}</li>
        </ul>
      </div>
      <div class="row end">
        <template v-if="analysis">
          <VBtn variant="text" :disabled="progress !== null" @click="toggleCloser">{{
            closer ? 'Whole width' : 'Look closer'
          }}</VBtn>
          <VBtn variant="text" :disabled="closer !== null" @click="takeCsv">Spectrum as CSV</VBtn>
          <VBtn variant="text" @click="takeAnnotations">SigMF annotations</VBtn>
        </template>
        <VBtn variant="text" @click="close">Leave it</VBtn>
        <VBtn color="primary" :loading="busy" :disabled="figures.length === 0" @click="take">{{
          keepWords
        }}</VBtn>
      </div>
    </VCard>
  </VDialog>
</template>

<style scoped>
.dialog {
  overflow-y: auto;
  padding: 20px 22px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.found {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.end {
  position: sticky;
  bottom: -20px;
  background: var(--sheet);
  padding: 8px 0;
  border-top: 1px solid var(--line);
  margin-bottom: -8px;
}
</style>
