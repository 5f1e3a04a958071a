<script setup lang="ts">
import type { Instrument } from '#core/chain'
import { spokenKindOf } from '#core/link'

/** Whether the application reads an instrument itself. */
const { instrument } = defineProps<{ instrument: Instrument }>()
const kind = computed(() => spokenKindOf(instrument))
</script>

<template>
  <LinkChoice v-if="kind" :key="instrument.id" :link-id="instrument.id" :kind="kind" />
</template>
