<script setup lang="ts">
import { AUDIO } from '#core/station'
import { SINAD_DEFAULTS, type SinadSettings } from '#core/signal'
import type { HeardRecording } from '~/workers/audio.worker'
import { hearRecording } from '~/workers/audioWorker'
import type { StationPart } from '~/stations'
import VoltsDialog from './VoltsDialog.vue'

/** Takes volts from recordings of a calibrated sound card. */
const { run, result } = defineProps<StationPart>()
const store = useReviewStore()
const ui = useUiStore()
const picker = useTemplateRef<{ pick: () => void }>('picker')
const recording = shallowRef<HeardRecording | null>(null)
const isBusy = ref(false)

/** All of the band: what a voltmeter would show. */
const SETTINGS: SinadSettings = { ...SINAD_DEFAULTS, weighting: { filter: 'flat', deEmphasisS: null } }

const fullScaleV = computed(() => {
  const chain = store.context?.chain(result.step.chains[AUDIO] ?? null)
  const instrument = chain && store.context?.instrument(chain.instrumentId)
  return instrument?.kind === 'audio-meter' ? instrument.fullScaleV : null
})

async function take([file]: File[]): Promise<void> {
  if (!file || store.readOnly) return
  if (fullScaleV.value === null)
    return ui.sayProblem(
      'Volts need a sound card whose full scale is known. Calibrate it on the bench with a voltage you know, and choose its chain here. Nothing was brought in.',
    )
  isBusy.value = true
  try {
    recording.value = await hearRecording(file, 0, SETTINGS)
  } catch (error) {
    ui.sayProblem(error)
  }
  isBusy.value = false
}

function pick(): void {
  picker.value?.pick()
}

defineExpose({ pick, take })
</script>

<template>
  <FilePick
    ref="picker"
    label="Recording of audio"
    accept=".wav"
    :disabled="store.readOnly"
    :loading="isBusy"
    @files="take"
    >Bring in audio</FilePick
  >
  <VoltsDialog
    v-if="recording && fullScaleV !== null"
    :recording="recording"
    :full-scale-v="fullScaleV"
    :run="run"
    :step="result.step"
    @close="recording = null"
  />
</template>
