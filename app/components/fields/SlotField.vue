<script setup lang="ts">
import type { LevelUnit } from '#core/quantity'
import type { Reading, SeenFigure, SeenLevel } from '#core/review'
import type { Kept, Slot } from '#core/step'
import { parseSlot } from './parseSlot'

/** A field for what a slot asks for: a level at an instrument, or a figure in a unit of its own. */
const {
  target,
  reading,
  bareUnit,
  label,
  large = false,
  disabled = false,
} = defineProps<{
  target: Slot
  /** What is kept in it. */
  reading: Reading | null
  bareUnit: LevelUnit
  label: string
  large?: boolean
  disabled?: boolean
}>()
const emit = defineEmits<{
  draft: [value: Kept | null]
  keep: [value: Kept]
  goOn: []
  goBack: []
  focused: []
}>()

interface Entered {
  text: string
  read: SeenLevel | SeenFigure
}

const field = useTemplateRef<{ focus: () => void; select: () => void }>('field')
const placeholder = computed(() => {
  if (target.field.as !== 'figure') return bareUnit
  return target.field.placeholder ?? target.field.unit
})
const parse = (text: string) => parseSlot(target, text, bareUnit)
const keptOf = ({ text, read }: Entered): Kept => ({ slotId: target.id, text, seen: read })

function drafted(value: Entered | null): void {
  emit('draft', value && keptOf(value))
}

function kept(value: Entered): void {
  emit('keep', keptOf(value))
}

defineExpose({ focus: () => field.value?.focus(), select: () => field.value?.select() })
</script>

<template>
  <EntryField
    ref="field"
    :stored="reading?.text ?? ''"
    :stored-id="reading?.id ?? null"
    :parse="parse"
    :label="label"
    :placeholder="placeholder"
    :large="large"
    :disabled="disabled"
    @draft="drafted"
    @keep="kept"
    @go-on="emit('goOn')"
    @go-back="emit('goBack')"
    @focused="emit('focused')"
  />
</template>
