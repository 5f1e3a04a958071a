<script setup lang="ts">
import { mdiFileImportOutline } from '@mdi/js'
import { isRecordingName } from '#core/format'
import type { RecordingUse } from '#core/station'
import type { StationRun } from '~/composables/useStationRun'

/** Takes recordings of I/Q, from files or the simulated receiver, and keeps what a station finds in them. */
const { run, use } = defineProps<{ run: StationRun; use: RecordingUse }>()
const store = useReviewStore()
const ui = useUiStore()
const picker = useTemplateRef<HTMLInputElement>('picker')

const { step } = run
const recordings = useRecordings(step, use.needs)
const { keep } = useKeepRecording(run, recordings, use)
const { record } = useSimulatedReceiver()

function take(files: File[]): void {
  if (files.length === 0 || store.readOnly) return
  if (files.some(({ name }) => isRecordingName(name))) void recordings.bringIn(files)
  else ui.sayProblem(`“${files[0]!.name}” is no recording known here. ${KNOWN_RECORDINGS}`)
}

function picked(event: Event): void {
  const input = event.target as HTMLInputElement
  take([...(input.files ?? [])])
  input.value = ''
}

async function simulate(): Promise<void> {
  if (step.value) await recordings.bringIn(await record(step.value))
}

function pick(): void {
  picker.value?.click()
}

defineExpose({ pick, take })
</script>

<template>
  <VBtn variant="outlined" :prepend-icon="mdiFileImportOutline" :disabled="store.readOnly" @click="pick"
    >Bring in a recording</VBtn
  >
  <input
    ref="picker"
    type="file"
    accept=".wav,.sigmf,.sigmf-meta,.sigmf-data"
    multiple
    class="only-read"
    tabindex="-1"
    aria-label="Recording files"
    data-testid="files"
    @change="picked"
  />
  <VBtn variant="outlined" @click="simulate">Simulated receiver</VBtn>
  <RecordingDialog v-if="step" :recordings="recordings" :step="step" :use="use" @take="keep" />
</template>
