<script setup lang="ts">
import type { StationRun } from '~/composables/useStationRun'
import { useConsent } from './useConsent'

/** Asks for the owner’s consent; the station stays shut without it. */
const { run } = defineProps<{ run: StationRun }>()
const store = useReviewStore()
const { consent, record } = useConsent(run)
const owner = ref('')
const understood = ref(false)
const isComplete = computed(() => understood.value && owner.value.trim() !== '' && !store.readOnly)

function give(): void {
  record(owner.value.trim())
  understood.value = false
}
</script>

<template>
  <p v-if="consent">Nothing is planned yet: put bands and channels on the card.</p>
  <div v-else class="stack">
    <p>
      Five minutes into a load, then open, then short at the socket. This may destroy the final stage of the
      set. It stays shut until the owner’s consent is on record.
    </p>
    <VTextField v-model="owner" label="Owner who consents" :disabled="store.readOnly" maxlength="200" />
    <VCheckbox
      v-model="understood"
      label="The owner accepts that the set may be damaged or lost"
      :disabled="store.readOnly"
    />
    <div class="row">
      <VBtn color="primary" :disabled="!isComplete" @click="give">Record the consent</VBtn>
    </div>
  </div>
</template>
