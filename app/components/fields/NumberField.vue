<script setup lang="ts">
import { parseFrequency, parsePlainNumber } from '#core/quantity'

/** A number with a fixed unit: typed as people type, kept on Enter or when left, refused in words. */
const {
  modelValue,
  label,
  unit = '',
  min = -1e12,
  max = 1e12,
  optional = false,
  disabled = false,
  frequency = false,
  emptyWords = '',
  dense = false,
} = defineProps<{
  modelValue: number | null
  label: string
  unit?: string
  min?: number
  max?: number
  optional?: boolean
  disabled?: boolean
  /** The value is in Hz; typed and shown in MHz. */
  frequency?: boolean
  emptyWords?: string
  dense?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number | null] }>()

const shown = (value: number | null) =>
  value === null
    ? ''
    : String(frequency ? Number((value / 1e6).toPrecision(10)) : Number(value.toPrecision(10)))
const { refused, handOver } = useRefusal()
const draft = ref(shown(modelValue))
const error = ref('')
const offers = ref<string[]>([])
watch(
  () => modelValue,
  value => {
    draft.value = shown(value)
    error.value = ''
  },
)

function commit(): void {
  error.value = ''
  refused.value = ''
  offers.value = []
  if (draft.value.trim() === '') {
    if (optional) emitIfNew(null)
    else error.value = 'A figure is needed here.'
    return
  }
  if (draft.value === shown(modelValue)) return
  const read = frequency ? parseFrequency(draft.value) : parsePlainNumber(draft.value, { min, max, unit })
  if (!read.ok) {
    error.value = read.message
    offers.value = read.offers
    return
  }
  emitIfNew('frequencyHz' in read ? read.frequencyHz : read.value)
}

function emitIfNew(value: number | null): void {
  const taken = value === modelValue || handOver(() => emit('update:modelValue', value))
  if (taken) draft.value = shown(value)
}

function take(offer: string): void {
  draft.value = offer
  commit()
}
</script>

<template>
  <div>
    <VTextField
      v-model="draft"
      :label="label"
      :suffix="frequency ? 'MHz' : unit"
      :placeholder="emptyWords"
      :persistent-placeholder="emptyWords !== ''"
      :error-messages="error || refused"
      :disabled="disabled"
      inputmode="decimal"
      class="figure-field"
      :class="{ dense }"
      @blur="commit"
      @keydown.enter="commit"
    />
    <div v-if="offers.length" class="row offers">
      <VBtn v-for="offer in offers" :key="offer" size="small" variant="outlined" @click="take(offer)">{{
        offer
      }}</VBtn>
    </div>
  </div>
</template>

<style scoped>
.figure-field :deep(input) {
  font-family: var(--figures);
  font-size: 15px;
}
.figure-field :deep(.v-text-field__suffix) {
  color: var(--ink-2);
  opacity: 1;
  font-size: 13px;
}
.offers {
  margin-top: 4px;
}
</style>
