<script setup lang="ts">
/** A text field that keeps what is typed to itself until it is left or Enter is pressed. */
const {
  modelValue,
  label,
  multiline = false,
  placeholder = '',
  disabled = false,
  hint = '',
  maxlength = 400,
} = defineProps<{
  modelValue: string
  label: string
  multiline?: boolean
  placeholder?: string
  disabled?: boolean
  hint?: string
  maxlength?: number
}>()
const emit = defineEmits<{ 'update:modelValue': [value: string] }>()

const { refused, handOver } = useRefusal()
const draft = ref(modelValue)
watch(
  () => modelValue,
  value => (draft.value = value),
)

function commit(): void {
  const value = draft.value.trim()
  if (value !== modelValue) handOver(() => emit('update:modelValue', value))
}
</script>

<template>
  <VTextarea
    v-if="multiline"
    v-model="draft"
    :label="label"
    :placeholder="placeholder"
    :disabled="disabled"
    :hint="hint"
    :persistent-hint="hint !== ''"
    :error-messages="refused"
    :maxlength="4000"
    @blur="commit"
  />
  <VTextField
    v-else
    v-model="draft"
    :label="label"
    :placeholder="placeholder"
    :disabled="disabled"
    :hint="hint"
    :persistent-hint="hint !== ''"
    :error-messages="refused"
    :maxlength="maxlength"
    @blur="commit"
    @keydown.enter="commit"
  />
</template>
