<script setup lang="ts">
/** How far a PDF or a CSV has come. */
const { what, share } = defineProps<{ what: string; share: number | null }>()
const emit = defineEmits<{ cancel: [] }>()
const percent = computed(() => Math.round(100 * (share ?? 0)))
/** Nobody knows how far the laying out of pages has come: it says nothing until the first is written. */
const isUnknown = computed(() => percent.value === 0 || percent.value === 30)
</script>

<template>
  <div class="progress" role="status">
    <VProgressLinear
      :model-value="percent"
      :indeterminate="isUnknown"
      color="primary"
      height="8"
      rounded
      :aria-label="`Making the ${what}`"
    />
    <span class="small">Making the {{ what }}{{ isUnknown ? '' : `: ${percent} %` }}</span>
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
