<script setup lang="ts">
import type { HeardRecording } from '~/workers/audio.worker'
import { hearRecording } from '~/workers/audioWorker'
import type { StationPart } from '~/stations'
import AudioDialog from './AudioDialog.vue'

/** Takes SINAD from recordings of audio: one level a file, or a recording stepped from level to level. */
const { run, result } = defineProps<StationPart>()
const store = useReviewStore()
const ui = useUiStore()
const picker = useTemplateRef<{ pick: () => void }>('picker')

const recording = shallowRef<HeardRecording | null>(null)
const file = shallowRef<File | null>(null)
const isBusy = ref(false)

const { settings } = useHearingWeighting()

async function read(channel: number): Promise<void> {
  if (!file.value) return
  isBusy.value = true
  try {
    recording.value = await hearRecording(file.value, channel, settings.value)
  } catch (error) {
    recording.value = null
    ui.sayProblem(error)
  }
  isBusy.value = false
}

function take(files: File[]): void {
  const [first] = files
  if (!first || store.readOnly) return
  if (!/\.wav$/i.test(first.name)) {
    ui.sayProblem(`“${first.name}” is no recording of audio known here. Known: WAV. Nothing was brought in.`)
    return
  }
  file.value = first
  void read(0)
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
    test-id="audio-file"
    :disabled="store.readOnly"
    :loading="isBusy"
    @files="take"
    >Bring in audio</FilePick
  >
  <AudioDialog
    v-if="recording"
    :key="recording.sha256 + recording.stretches.length"
    :recording="recording"
    :run="run"
    :step="result.step"
    @channel="read"
    @close="recording = null"
  />
</template>
