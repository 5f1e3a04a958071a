<script setup lang="ts">
import type { SlotResult, Step } from '#core/step'

/** Opens the second window for a camera, and feeds it. */
const { step, focus } = defineProps<{ step: Step; focus: SlotResult | null }>()
const { open } = useCameraFeed(() => ({ step, focus }))
useKeys({ c: open })
</script>

<template>
  <VBtn variant="text" size="small" class="no-print" @click="open">Camera window</VBtn>
</template>
