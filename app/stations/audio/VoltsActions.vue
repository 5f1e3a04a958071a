<script setup lang="ts">
import type { HeardRecording } from '~/workers/audio.worker'
import { hearRecording } from '~/workers/audioWorker'
import type { StationPart } from '~/stations'
import { NO_FULL_SCALE, useFullScale, VOLTMETER_SETTINGS } from './useVoltmeter'
import VoltsDialog from './VoltsDialog.vue'

/** Takes volts from recordings of a calibrated sound card. */
const { run, result } = defineProps<StationPart>()
const store = useReviewStore()
const ui = useUiStore()
const picker = useTemplateRef<{ pick: () => void }>('picker')
const recording = shallowRef<HeardRecording | null>(null)
const isBusy = ref(false)

const fullScaleV = useFullScale(() => result.step)

async function take([file]: File[]): Promise<void> {
  if (!file || store.readOnly) return
  if (fullScaleV.value === null) return ui.sayProblem(`${NO_FULL_SCALE} Nothing was brought in.`)
  isBusy.value = true
  try {
    recording.value = await hearRecording(file, 0, VOLTMETER_SETTINGS)
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
