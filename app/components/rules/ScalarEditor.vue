<script setup lang="ts">
import { SCALAR_UNITS, type ScalarLimit } from '#core/rules'

const { limit, disabled = false } = defineProps<{ limit: ScalarLimit; disabled?: boolean }>()
const emit = defineEmits<{ change: [limit: ScalarLimit] }>()
const KINDS = [
  { value: 'at-most', title: 'At most' },
  { value: 'at-least', title: 'At least' },
  { value: 'within', title: 'Between' },
]

function ofKind(kind: ScalarLimit['kind']): ScalarLimit {
  return kind === 'within'
    ? { kind, value: limit.value, to: limit.to ?? limit.value, unit: limit.unit }
    : { kind, value: limit.value, unit: limit.unit }
}

function keepKind(kind: ScalarLimit['kind'] | null): void {
  if (kind) emit('change', ofKind(kind))
}

function keep(
  part: { value: number | null } | { to: number | null } | { unit: ScalarLimit['unit'] | null },
): void {
  if (Object.values(part).every(value => value !== null)) emit('change', { ...limit, ...part } as ScalarLimit)
}
</script>

<template>
  <div class="scalar">
    <VSelect
      :model-value="limit.kind"
      :items="KINDS"
      label="Limit"
      :disabled="disabled"
      @update:model-value="keepKind"
    />
    <NumberField
      :model-value="limit.value"
      :label="limit.kind === 'within' ? 'From' : 'Figure'"
      :disabled="disabled"
      @update:model-value="keep({ value: $event })"
    />
    <NumberField
      v-if="limit.kind === 'within'"
      :model-value="limit.to ?? limit.value"
      label="To"
      :disabled="disabled"
      @update:model-value="keep({ to: $event })"
    />
    <VSelect
      :model-value="limit.unit"
      :items="[...SCALAR_UNITS]"
      label="Unit"
      :disabled="disabled"
      @update:model-value="keep({ unit: $event })"
    />
  </div>
</template>

<style scoped>
.scalar {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 200px));
  gap: 10px;
}
</style>
