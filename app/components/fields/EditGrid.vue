<script setup lang="ts">
import type { BoundField } from './editField'

/** The fields of a form, side by side; `inline`: in the grid of whoever holds them. */
const {
  fields,
  locked,
  inline = false,
} = defineProps<{ fields: readonly BoundField[]; locked: boolean; inline?: boolean }>()
</script>

<template>
  <div :class="inline ? 'inline' : 'edit-grid'">
    <template v-for="field in fields" :key="field.key">
      <CommitField
        v-if="field.as === 'text'"
        :model-value="field.value"
        :label="field.label"
        :placeholder="field.placeholder"
        :maxlength="field.maxlength"
        :disabled="locked"
        @update:model-value="field.keep"
      />
      <VSelect
        v-else-if="field.as === 'choice'"
        :model-value="field.value"
        :items="field.items"
        :label="field.label"
        :disabled="locked"
        @update:model-value="field.keep"
      />
      <NumberField
        v-else
        v-bind="field.typed"
        :model-value="field.value"
        :label="field.label"
        :disabled="locked"
        @update:model-value="field.keep"
      />
    </template>
  </div>
</template>

<style scoped>
.inline {
  display: contents;
}
.edit-grid {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 12px;
}
@media (max-width: 1000px) {
  .edit-grid {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
