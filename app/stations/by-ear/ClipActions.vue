<script setup lang="ts">
import { mdiMicrophone, mdiStop } from '@mdi/js'
import { clipFromFile, clipFromSamples } from '~/workers/clipWorker'
import { MOST_CLIP_S, type PreparedClip } from '#core/sound'
import type { StationPart } from '~/stations'
import { useKeepClip } from './useKeepClip'

/** Clips of sound: recorded here, or brought in as WAV files. */
const { result } = defineProps<StationPart>()
const store = useReviewStore()
const ui = useUiStore()
const picker = useTemplateRef<{ pick: () => void }>('picker')
const isBusy = ref(false)
const { keepClip } = useKeepClip()
const { state, start, stop } = useClipRecorder(MOST_CLIP_S, ({ samples, sampleRateHz, device }) =>
  keepAs(`recorded from ${device}`, clipFromSamples(samples, sampleRateHz)),
)
/** The level from which what is recorded stands at the rail. */
const CLIPS_AT = 0.999

const isRecording = computed(() => state.value.kind === 'recording')
const words = computed(() => {
  const now = state.value
  switch (now.kind) {
    case 'off':
      return ''
    case 'starting':
      return 'Asking for the microphone…'
    case 'refused':
      return now.words
    case 'recording':
      return [
        `${now.seconds.toFixed(0)} of ${MOST_CLIP_S} s from ${now.device}`,
        ...(now.peak >= CLIPS_AT ? ['it clips: turn it down'] : []),
        ...now.remarks,
      ].join('; ')
  }
})

async function keepAs(name: string, clip: Promise<PreparedClip>): Promise<void> {
  isBusy.value = true
  try {
    await keepClip(result.step, await clip, name)
  } catch (error) {
    ui.sayProblem(error)
  }
  isBusy.value = false
}

async function take(files: File[]): Promise<void> {
  if (store.readOnly) return
  for (const file of files) {
    if (/\.wav$/i.test(file.name)) await keepAs(file.name, clipFromFile(file))
    else ui.sayProblem(`“${file.name}” is no clip known here. Known: WAV. Nothing was brought in.`)
  }
}

function pick(): void {
  picker.value?.pick()
}

defineExpose({ pick, take })
</script>

<template>
  <VBtn v-if="isRecording" color="primary" :prepend-icon="mdiStop" @click="stop">Stop and keep</VBtn>
  <VBtn
    v-else
    variant="outlined"
    :prepend-icon="mdiMicrophone"
    :disabled="store.readOnly || isBusy"
    @click="start"
    >Record a clip</VBtn
  >
  <FilePick
    ref="picker"
    label="Clip of sound"
    accept=".wav"
    multiple
    :disabled="store.readOnly"
    :loading="isBusy"
    @files="take"
    >Bring in a clip</FilePick
  >
  <span v-if="words" class="small words" role="status" data-testid="recorder">{{ words }}</span>
</template>

<style scoped>
.words {
  flex: 1 1 200px;
}
</style>
