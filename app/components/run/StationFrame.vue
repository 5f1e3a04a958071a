<script setup lang="ts">
import { mdiFileImportOutline } from '@mdi/js'
import { isRecordingName } from '#core/format'
import type { ParseFigureOptions } from '#core/quantity'
import { isRead, type Slot, suitableChains } from '#core/station'
import type { Instrument } from '#core/chain'
import type { StationRun } from '~/composables/useStationRun'

/**
 * A station’s screen: what to set now, its drawing, its figures, and on the right clock, reason and
 * uncertainty.
 */
const {
  run,
  title,
  instruments,
  optionsOf,
  nothingWords,
  recordings = false,
  accept = '',
  bareUnit = 'W',
  placeholderOf = () => '',
  valueHead = 'Comes to',
  wide = false,
} = defineProps<{
  run: StationRun
  title: string
  instruments: readonly Instrument['kind'][]
  optionsOf: (slot: Slot) => ParseFigureOptions
  nothingWords: string
  /** The station takes recordings of I/Q or audio. */
  recordings?: boolean
  /** Kinds of file the station takes; none by default. */
  accept?: string
  bareUnit?: 'W' | 'dBm'
  placeholderOf?: (slot: Slot) => string
  valueHead?: string
  wide?: boolean
}>()
const emit = defineEmits<{ files: [files: File[]] }>()

const store = useReviewStore()
const ui = useUiStore()
const route = useRoute()
const { placeTo } = useReviewRoute()
const table = useTemplateRef<{ focusNextOpen: () => void; retake: () => void }>('table')
const picker = useTemplateRef<HTMLInputElement>('picker')
const record = useTemplateRef<{ focusNote: () => void }>('record')
const dragging = ref(false)
const focusSlotId = ref<string | null>(typeof route.query.slot === 'string' ? route.query.slot : null)

const { step, steps, stepIndex, result, checks, unsafe, set, stationId } = run
const slots = computed(() => result.value?.slots ?? [])
const focus = computed(
  () =>
    slots.value.find(({ slot }) => slot.id === focusSlotId.value) ??
    result.value?.governs ??
    slots.value.find(isRead) ??
    slots.value[0] ??
    null,
)
const chains = computed(() => (store.context ? suitableChains(store.context, instruments) : []))
const skipped = computed(() => (step.value && store.context ? store.context.skipReason(step.value) : null))

function assignChain(id: string): void {
  store.change('the chain of a station', draft => {
    const radio = draft.sets.find(other => other.id === set.value?.id)
    if (radio) radio.chainByStation[stationId] = id
  })
}

function take(files: FileList | null | undefined): void {
  if (!files || files.length === 0 || store.readOnly) return
  if (accept === '') ui.say('This station takes no files; type what you read.')
  else emit('files', [...files])
}

function picked(event: Event): void {
  const input = event.target as HTMLInputElement
  take(input.files)
  input.value = ''
}

function dropped(event: DragEvent): void {
  dragging.value = false
  const files = [...(event.dataTransfer?.files ?? [])]
  if (recordings && files.length > 0 && !files.some(({ name }) => isRecordingName(name)))
    ui.sayProblem(
      `“${files[0]!.name}” is no recording known here. Known: WAV, and SigMF as two files or an archive. Nothing was brought in.`,
    )
  else take(event.dataTransfer?.files)
}

useKeys({
  n: () => run.toStep(1),
  p: () => run.toStep(-1),
  i: () =>
    accept === '' ? ui.say('This station takes no files; type what you read.') : picker.value?.click(),
  r: event => {
    event.preventDefault()
    table.value?.retake()
  },
  o: event => {
    event.preventDefault()
    record.value?.focusNote()
  },
  ...Object.fromEntries([...'0123456789-−+'].map(digit => [digit, () => table.value?.focusNextOpen()])),
})
</script>

<template>
  <div
    v-if="step && result && store.context"
    class="columns"
    :class="{ dragging }"
    @dragover.prevent="dragging = true"
    @dragleave.self="dragging = false"
    @drop.prevent="dropped"
  >
    <div class="stack">
      <StepHead
        :step="step"
        :index="stepIndex"
        :count="steps.length"
        :title="title"
        @go="by => run.toStep(by)"
      />
      <p v-if="skipped !== null" class="skipped" role="status">Left out of the run: {{ skipped }}</p>
      <RadioSettings :step="step" :unsafe="unsafe" />
      <slot name="before" :step="step" />
      <slot name="drawing" :step="step" :result="result" :focus-slot-id="focusSlotId" />
      <QuestionsList :questions="result.questions" />
      <section class="sheet table" :aria-label="`${title}: figures of this step`">
        <SlotTable
          ref="table"
          v-model:focus-slot-id="focusSlotId"
          :run="run"
          :slots="slots"
          :options-of="optionsOf"
          :bare-unit="bareUnit"
          :placeholder-of="placeholderOf"
          :value-head="valueHead"
          :wide="wide"
        />
        <slot name="summary" :step="step" :result="result" />
      </section>
      <div class="row">
        <template v-if="accept !== ''">
          <VBtn
            variant="outlined"
            :prepend-icon="mdiFileImportOutline"
            :disabled="store.readOnly"
            @click="picker?.click()"
            >{{ recordings ? 'Bring in a recording' : 'Bring in a log' }}</VBtn
          >
          <input
            ref="picker"
            type="file"
            :accept="accept"
            multiple
            class="only-read"
            tabindex="-1"
            :aria-label="recordings ? 'Recording files' : 'Log file'"
            data-testid="files"
            @change="picked"
          />
        </template>
        <slot name="actions" :step="step" />
        <VSelect
          v-if="chains.length > 0"
          class="chain"
          :model-value="step.chainId"
          :items="chains.map(({ id, name }) => ({ value: id, title: name }))"
          label="Through the chain"
          :disabled="store.readOnly"
          @update:model-value="value => value && assignChain(value)"
        />
        <p class="small quiet keys">
          <kbd>Enter</kbd> keep and go on <kbd>Space</kbd> key-down clock
          <template v-if="accept !== ''"><kbd>I</kbd> bring in a file </template><kbd>N</kbd> next step
          <kbd>?</kbd> all keys
        </p>
      </div>
      <StepRecord ref="record" :key="`${step.set.id}|${step.id}`" :step="step" :slots="slots" />
    </div>
    <StepSide :step="step" :focus="focus" :checks="checks" :unsafe="unsafe" carrier-words="" />
  </div>
  <section v-else-if="steps.length === 0" class="sheet nothing stack">
    <h1>{{ title }}</h1>
    <slot name="nothing"
      ><p>{{ set ? nothingWords : 'Add a radio first.' }}</p></slot
    >
    <NuxtLink :to="placeTo('card')">To card and claims</NuxtLink>
  </section>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 292px;
  gap: 20px;
  align-items: start;
}
.table {
  padding: 2px 8px 6px;
}
.chain {
  max-width: 260px;
  min-width: 190px;
}
.keys {
  margin-left: auto;
}
.nothing {
  padding: 24px;
  max-width: 560px;
}
.skipped {
  color: var(--ink-2);
  background: rgb(var(--v-theme-close-wash));
  padding: 6px 12px;
  border-radius: var(--radius);
}
.dragging {
  outline: 2px dashed var(--spruce);
  outline-offset: 6px;
  border-radius: var(--radius);
}
a {
  color: var(--spruce);
}
@media (max-width: 1100px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
