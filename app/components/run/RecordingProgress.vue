<script setup lang="ts">
/** How much of a recording is read. */
const { share, bytes, isPart } = defineProps<{ share: number; bytes: number; isPart: boolean }>()
const emit = defineEmits<{ cancel: [] }>()
const percent = computed(() => Math.round(100 * share))
const ofWhat = computed(() => {
  if (isPart) return 'the part'
  return bytes >= 1e6 ? `${Math.round(bytes / 1e6)} MB` : `${Math.max(1, Math.round(bytes / 1e3))} kB`
})
</script>

<template>
  <WorkProgress :share="share" label="Reading the recording" @cancel="emit('cancel')"
    >{{ percent }} % of {{ ofWhat }} read</WorkProgress
  >
</template>
