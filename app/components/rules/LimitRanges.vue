<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { PLAIN_LIMIT, type PowerLimit } from '#core/rules'

/** A limit for each of some ranges: of frequency, or of the distance from the carrier. */
export interface LimitRange {
  from: number
  to: number
  limit: PowerLimit
}

const { ranges, typed, disabled, depth, word } = defineProps<{
  ranges: readonly LimitRange[]
  /** How the ends are typed; they are shown divided by `scale`. */
  typed: { frequency?: boolean; unit?: string; min?: number; scale: number }
  disabled: boolean
  depth: number
  /** What a range is called: `range`, `step`. */
  word: string
}>()
const emit = defineEmits<{ change: [ranges: LimitRange[]] }>()

const ENDS = [
  { end: 'from', label: 'From' },
  { end: 'to', label: 'To' },
] as const
const field = computed(() => ({ frequency: typed.frequency, unit: typed.unit, min: typed.min }))

function replace(index: number, change: Partial<LimitRange>): void {
  emit(
    'change',
    ranges.map((range, at) => (at === index ? { ...range, ...change } : range)),
  )
}

function setEnd(index: number, end: 'from' | 'to', value: number | null): void {
  if (value !== null) replace(index, { [end]: value * typed.scale })
}

function remove(index: number): void {
  emit(
    'change',
    ranges.filter((_range, at) => at !== index),
  )
}

/** The next one begins where the last one ends, and ends at twice that. */
function add(): void {
  const from = ranges.at(-1)?.to ?? 0
  emit('change', [...ranges, { from, to: 2 * from, limit: PLAIN_LIMIT }])
}
</script>

<template>
  <div class="stack">
    <div v-for="(range, index) in ranges" :key="index" class="member">
      <div class="step">
        <NumberField
          v-for="{ end, label } in ENDS"
          :key="end"
          v-bind="field"
          :model-value="range[end] / typed.scale"
          :label="label"
          :disabled="disabled"
          @update:model-value="setEnd(index, end, $event)"
        />
        <LimitEditor
          class="whole"
          :limit="range.limit"
          :depth="depth"
          :disabled="disabled"
          @change="limit => replace(index, { limit })"
        />
      </div>
      <VBtn
        v-if="ranges.length > 1"
        icon
        size="small"
        variant="text"
        :aria-label="`Remove this ${word}`"
        :disabled="disabled"
        @click="remove(index)"
        ><VIcon :icon="mdiClose" size="16"
      /></VBtn>
    </div>
    <VBtn size="small" variant="outlined" :disabled="disabled" class="at-start" @click="add"
      >Add a {{ word }}</VBtn
    >
  </div>
</template>

<style scoped>
.step {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 200px));
  gap: 10px;
}
</style>
