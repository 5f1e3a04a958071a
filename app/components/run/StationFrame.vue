<script setup lang="ts">
import { openInterlocks, runKey } from '#core/plan'
import type { ProposedLevel } from '#core/station'
import { isRead, type Kept } from '#core/step'
import type { StationRun } from '~/composables/useStationRun'
import type { StationView } from '~/stations'

/**
 * A station’s screen: what to set now, its drawing, its figures, and on the right clock, reason and
 * uncertainty.
 */
const { run, view } = defineProps<{ run: StationRun; view: StationView }>()

/** A part of the screen that may take files. */
interface TakesFiles {
  pick?: () => void
  take?: (files: File[]) => void
}

const ui = useUiStore()
const store = useReviewStore()
const route = useRoute()
const table = useTemplateRef<{
  focusNextOpen: () => void
  retake: () => void
  keepNext: (figure: Omit<Kept, 'slotId'>) => void
  takeInHand: (slotId: string) => void
}>('table')
const record = useTemplateRef<{ focusNote: () => void }>('record')
const actions = useTemplateRef<TakesFiles>('actions')
const before = useTemplateRef<TakesFiles>('before')
const recording = useTemplateRef<{ pick: () => void; take: (files: File[]) => void }>('recording')
provide(KEEP_NEXT, figure => table.value?.keepNext(figure))
provide(TAKE_IN_HAND, slotId => table.value?.takeInHand(slotId))
const dragging = ref(false)
const focusSlotId = ref<string | null>(typeof route.query.slot === 'string' ? route.query.slot : null)

const { step, steps, stepIndex, result, checks, unsafe, station, coaching } = run
const locks = computed(() =>
  step.value && store.context ? openInterlocks(step.value, store.context).length : 0,
)
const proposed = computed(() => bySlot(coaching.value?.proposed ?? []))
const slots = computed(() => result.value?.slots ?? [])

function bySlot(levels: readonly ProposedLevel[]): Record<string, Record<string, number>> {
  const found: Record<string, Record<string, number>> = {}
  for (const { slotId, role, levelDbm } of levels) found[slotId] = { ...found[slotId], [role]: levelDbm }
  return found
}

const focus = computed(
  () =>
    slots.value.find(({ slot }) => slot.id === focusSlotId.value) ??
    result.value?.governs ??
    slots.value.find(isRead) ??
    slots.value[0] ??
    null,
)
const takesFiles = computed(
  () => recording.value ?? [actions.value, before.value].find(part => part?.take) ?? null,
)
const skipped = computed(() => (step.value && store.context ? store.context.skipReason(step.value) : null))

function dropped(event: DragEvent): void {
  dragging.value = false
  const files = [...(event.dataTransfer?.files ?? [])]
  if (files.length === 0 || store.readOnly) return
  if (takesFiles.value?.take) takesFiles.value.take(files)
  else ui.say(NO_FILES)
}

const NO_FILES = 'This station takes no files; type what you read.'

function pick(): void {
  if (takesFiles.value?.pick) takesFiles.value.pick()
  else ui.say(NO_FILES)
}

useStationKeys(run, {
  bringIn: pick,
  retake: () => table.value?.retake(),
  note: () => record.value?.focusNote(),
  type: () => table.value?.focusNextOpen(),
})
</script>

<template>
  <div
    v-if="step && result && store.context"
    class="with-side"
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
        :title="station.title"
        :coaching="coaching"
        @go="run.toStep"
      />
      <p v-if="skipped !== null" class="skipped" role="status">Left out of the run: {{ skipped }}</p>
      <RadioSettings :step="step" :unsafe="unsafe" />
      <InterlockList v-if="step.interlocks.length" :step="step" :open="locks" />
      <component :is="view.before" v-if="view.before" ref="before" :run="run" :result="result" />
      <component :is="view.drawing" v-if="view.drawing" :run="run" :result="result" />
      <QuestionsList :questions="result.questions" />
      <section class="sheet table" :aria-label="`${station.title}: figures of this step`">
        <SlotTable
          ref="table"
          v-model:focus-slot-id="focusSlotId"
          :run="run"
          :slots="slots"
          :proposed="proposed"
          :locked="locks > 0"
        />
        <component :is="view.summary" v-if="view.summary" :run="run" :result="result" />
      </section>
      <div class="row">
        <RecordingTaking v-if="station.recording" ref="recording" :run="run" :use="station.recording" />
        <component :is="view.actions" v-if="view.actions" ref="actions" :run="run" :result="result" />
        <LazyLinkRead :run="run" />
        <ChainChoice :run="run" :step="step" />
        <StationKeysLine :takes-files="takesFiles !== null" />
      </div>
      <StepRecord ref="record" :key="runKey(step)" :step="step" :slots="slots" />
    </div>
    <StepSide :step="step" :focus="focus" :checks="checks" :unsafe="unsafe" :coaching="coaching">
      <template #top>
        <component :is="view.beside" v-if="view.beside" :run="run" :result="result" />
      </template>
    </StepSide>
  </div>
</template>

<style scoped>
.skipped {
  color: var(--ink-2);
  background: rgb(var(--v-theme-close-wash));
  padding: 6px 12px;
  border-radius: var(--radius);
}
</style>
