<script setup lang="ts">
/** How far work has come that a person waits for, and may call off. */
const { share, label } = defineProps<{
  /** 0 to 1; nought where nobody knows yet. */
  share: number
  label: string
}>()
const emit = defineEmits<{ cancel: [] }>()
const percent = computed(() => 100 * share)
</script>

<template>
  <div class="progress" role="status">
    <VProgressLinear
      :model-value="percent"
      :indeterminate="share === 0"
      color="primary"
      height="8"
      rounded
      :aria-label="label"
    />
    <span class="small"
      ><slot>{{ label }}: {{ Math.round(percent) }} %</slot></span
    >
    <VBtn size="small" variant="outlined" @click="emit('cancel')">Cancel</VBtn>
  </div>
</template>

<style scoped>
.progress {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 12px;
  align-items: center;
}
</style>
