<script setup lang="ts">
import { type LevelRead, type LevelUnit, parseLevel, printDbm, printDbmAsWatts } from '#core/quantity'
import type { Reading } from '#core/review'

/** A field for a level at an instrument. */
const {
  reading,
  bareUnit,
  label,
  large = false,
  disabled = false,
} = defineProps<{
  reading: Reading | null
  bareUnit: LevelUnit
  label: string
  large?: boolean
  disabled?: boolean
}>()
const emit = defineEmits<{
  draft: [value: { text: string; read: LevelRead } | null]
  keep: [value: { text: string; read: LevelRead }]
  goOn: []
  goBack: []
  focused: []
}>()

const field = useTemplateRef<{ focus: () => void; select: () => void }>('field')

function parse(text: string) {
  const read = parseLevel(text, { bareUnit })
  if (!read.ok) return read
  const bound = read.isUpperBound
    ? 'at most '
    : read.repeatsDbm.length > 0
      ? `mean of ${read.repeatsDbm.length}: `
      : ''
  return {
    ok: true as const,
    read,
    preview: `${bound}${printDbm(read.levelDbm, 2)} = ${printDbmAsWatts(read.levelDbm)}`,
  }
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
    :placeholder="bareUnit"
    :large="large"
    :disabled="disabled"
    @draft="value => emit('draft', value)"
    @keep="value => emit('keep', value)"
    @go-on="emit('goOn')"
    @go-back="emit('goBack')"
    @focused="emit('focused')"
  />
</template>
