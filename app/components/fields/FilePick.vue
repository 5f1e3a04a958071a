<script setup lang="ts">
import { mdiFileImportOutline } from '@mdi/js'

/** A button that asks for files; `pick` opens it from a key. */
const {
  label,
  accept,
  testId = 'files',
} = defineProps<{
  /** What the files are, for whoever cannot see the button. */
  label: string
  /** File names it takes: `.wav,.csv`. */
  accept: string
  disabled?: boolean
  loading?: boolean
  multiple?: boolean
  testId?: string
}>()
const emit = defineEmits<{ files: [files: File[]] }>()
const picker = useTemplateRef<HTMLInputElement>('picker')

function picked(event: Event): void {
  const input = event.target as HTMLInputElement
  emit('files', [...(input.files ?? [])])
  input.value = ''
}

function pick(): void {
  picker.value?.click()
}

defineExpose({ pick })
</script>

<template>
  <VBtn
    variant="outlined"
    :prepend-icon="mdiFileImportOutline"
    :disabled="disabled"
    :loading="loading"
    @click="pick"
    ><slot
  /></VBtn>
  <input
    ref="picker"
    type="file"
    :accept="accept"
    :multiple="multiple"
    class="only-read"
    tabindex="-1"
    :aria-label="label"
    :data-testid="testId"
    @change="picked"
  />
</template>
