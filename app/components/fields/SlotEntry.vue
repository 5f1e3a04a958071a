<script setup lang="ts">
import type { LevelUnit } from '#core/quantity'
import type { Reading, SeenLevel } from '#core/review'
import type { Kept, Slot } from '#core/step'

/** The fields of a slot: what generators are set to, where it has any, and what is read. */
const {
  target,
  reading,
  proposed,
  bareUnit,
  label,
  disabled = false,
} = defineProps<{
  target: Slot
  reading: Reading | null
  /** What generators are proposed to be set to, dBm, by role. */
  proposed: Readonly<Record<string, number>>
  bareUnit: LevelUnit
  label: string
  disabled?: boolean
}>()
const emit = defineEmits<{
  draft: [value: Kept | null]
  keep: [value: Kept]
  goOn: []
  goBack: []
  focused: []
}>()
const ui = useUiStore()
const applied = useTemplateRef<{ levels: () => Record<string, SeenLevel> | null }>('applied')
const field = useTemplateRef<{ focus: () => void }>('field')

/** Keeps a figure with what the generators stand at; without it the figure says nothing. */
function keepFigure(figure: Omit<Kept, 'slotId'>): void {
  const levels = target.applied ? (applied.value?.levels() ?? null) : {}
  if (levels === null)
    ui.sayProblem('Type what the generator is set to first: a figure without its level says nothing.')
  else emit('keep', { ...figure, slotId: target.id, applied: levels })
}

/** What is being typed counts at once, with what the generators stand at. */
function showDraft(value: Kept | null): void {
  const levels = target.applied ? applied.value?.levels() : {}
  emit('draft', value && levels ? { ...value, applied: levels } : null)
}

/** The level of a reading that stands is put right. */
function changeLevels(levels: Record<string, SeenLevel>): void {
  if (reading) emit('keep', { slotId: target.id, text: reading.text, seen: reading.seen, applied: levels })
}

defineExpose({ keepFigure })
</script>

<template>
  <div class="fields">
    <AppliedFields
      v-if="target.applied"
      ref="applied"
      :fields="target.applied"
      :reading="reading"
      :proposed="proposed"
      :disabled="disabled"
      @changed="changeLevels"
      @go-on="field?.focus()"
      @focused="emit('focused')"
    />
    <SlotField
      ref="field"
      :target="target"
      :reading="reading"
      :bare-unit="bareUnit"
      :label="label"
      :disabled="disabled"
      @draft="showDraft"
      @keep="keepFigure"
      @go-on="emit('goOn')"
      @go-back="emit('goBack')"
      @focused="emit('focused')"
    />
  </div>
</template>

<style scoped>
.fields {
  display: flex;
  gap: 6px;
  justify-content: flex-end;
}
</style>
