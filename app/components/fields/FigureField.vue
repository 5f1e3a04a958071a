<script setup lang="ts">
import { type FigureRead, parseFigure, type ParseFigureOptions, printFigure } from '#core/quantity'
import type { FigureReading } from '#core/review'

/** A field for a figure in a unit of its own: a deviation, a frequency, a voltage, a ratio. */
const {
  figure,
  options,
  label,
  placeholder = '',
  disabled = false,
} = defineProps<{
  figure: FigureReading | null
  options: ParseFigureOptions
  label: string
  placeholder?: string
  disabled?: boolean
}>()
const emit = defineEmits<{
  draft: [value: { text: string; read: FigureRead } | null]
  keep: [value: { text: string; read: FigureRead }]
  goOn: []
  goBack: []
  focused: []
}>()

function parse(text: string) {
  const read = parseFigure(text, options)
  return read.ok
    ? {
        ok: true as const,
        read,
        preview: `${read.isUpperBound ? 'at most ' : ''}${printFigure(read.value, options.unit)}`,
      }
    : read
}
</script>

<template>
  <EntryField
    :stored="figure?.text ?? ''"
    :stored-id="figure?.id ?? null"
    :parse="parse"
    :label="label"
    :placeholder="placeholder || options.unit"
    :disabled="disabled"
    @draft="value => emit('draft', value)"
    @keep="value => emit('keep', value)"
    @go-on="emit('goOn')"
    @go-back="emit('goBack')"
    @focused="emit('focused')"
  />
</template>
