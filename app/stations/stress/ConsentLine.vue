<script setup lang="ts">
import type { StationPart } from '~/stations'
import { useConsent } from './useConsent'

/** Who consented, and taking it back. */
const { run } = defineProps<StationPart>()
const store = useReviewStore()
const { consent, withdraw } = useConsent(run)
</script>

<template>
  <p v-if="consent" class="consent small">
    <span>Consent by {{ consent.by }}, {{ consent.at.slice(0, 10) }}.</span>
    <VBtn size="small" variant="text" :disabled="store.readOnly" @click="withdraw">Withdraw</VBtn>
  </p>
</template>

<style scoped>
.consent {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
