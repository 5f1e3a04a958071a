<script setup lang="ts">
import { mdiMicrophone, mdiStop } from '@mdi/js'
import { plainWords } from '~/errors/plainWords'
import type { Recorded } from '~/composables/useClipRecorder'
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
const { state, start, stop } = useClipRecorder(MOST_CLIP_S, recorded => void keepRecorded(recorded))
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

/** Keeps a clip. Returns what was wrong, in words; null where it is kept. */
async function keepAs(name: string, clip: Promise<PreparedClip>): Promise<string | null> {
  try {
    await keepClip(result.step, await clip, name)
    return null
  } catch (error) {
    return plainWords(error)
  }
}

async function keepRecorded({ samples, sampleRateHz, device }: Recorded): Promise<void> {
  isBusy.value = true
  const wrong = await keepAs(`recorded from ${device}`, clipFromSamples(samples, sampleRateHz))
  if (wrong !== null) ui.sayProblem(wrong)
  isBusy.value = false
}

/** Several at once: what is wrong with any of them is told together. */
async function take(files: File[]): Promise<void> {
  if (store.readOnly) return
  isBusy.value = true
  const wrong: (string | null)[] = []
  for (const file of files)
    wrong.push(
      /\.wav$/i.test(file.name)
        ? await keepAs(file.name, clipFromFile(file))
        : `“${file.name}” is no clip known here. Known: WAV. It was not brought in.`,
    )
  const told = wrong.filter(words => words !== null)
  if (told.length > 0) ui.sayProblem(told.join(' '))
  isBusy.value = false
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
