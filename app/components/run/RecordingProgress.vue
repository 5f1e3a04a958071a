<script setup lang="ts">
/** How much of a recording is read. */
const { share, bytes, isPart } = defineProps<{ share: number; bytes: number; isPart: boolean }>()
const emit = defineEmits<{ cancel: [] }>()
const percent = computed(() => 100 * share)
const ofWhat = computed(() => {
  if (isPart) return 'the part'
  return bytes >= 1e6 ? `${Math.round(bytes / 1e6)} MB` : `${Math.max(1, Math.round(bytes / 1e3))} kB`
})
</script>

<template>
  <div class="progress" role="status">
    <VProgressLinear
      :model-value="percent"
      color="primary"
      height="8"
      rounded
      aria-label="Reading the recording"
    />
    <span class="small">{{ Math.round(percent) }} % of {{ ofWhat }} read</span>
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
