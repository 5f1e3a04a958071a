<script setup lang="ts">
import { type Slot, STRESS_ID, STRESS_INSTRUMENTS } from '#core/station'

const store = useReviewStore()
const run = useStationRun(STRESS_ID, () => 'W')
const bareUnit = computed(() =>
  run.instrument.value?.kind === 'spectrum-analyser' ? ('dBm' as const) : ('W' as const),
)
const optionsOf = (slot: Slot) =>
  slot.measures === 'mark' ? { unit: 'mark' as const } : { unit: 'dBm' as const, min: -200, max: 60 }
const owner = ref('')
const understood = ref(false)
const set = run.set

function consent(): void {
  store.change('the owner’s consent', draft => {
    const radio = draft.sets.find(({ id }) => id === set.value?.id)
    if (radio) radio.stressConsent = { by: owner.value.trim(), at: new Date().toISOString() }
  })
  understood.value = false
}

function withdraw(): void {
  store.change('the owner’s consent withdrawn', draft => {
    const radio = draft.sets.find(({ id }) => id === set.value?.id)
    if (radio) radio.stressConsent = null
  })
}
</script>

<template>
  <StationFrame
    :run="run"
    title="Open and short"
    :instruments="STRESS_INSTRUMENTS"
    :options-of="optionsOf"
    :bare-unit="bareUnit"
    nothing-words=""
  >
    <template #before>
      <p v-if="set?.stressConsent" class="consent small">
        <span>Consent by {{ set.stressConsent.by }}, {{ set.stressConsent.at.slice(0, 10) }}.</span>
        <VBtn size="small" variant="text" :disabled="store.readOnly" @click="withdraw">Withdraw</VBtn>
      </p>
    </template>
    <template #summary="{ result }"
      ><p class="small quiet helper">
        {{
          result.words.startsWith('Power ')
            ? `${result.words}. Both readings went through one chain, so what they share cancels.`
            : 'Before and after go through one chain, so that a change of a few hundredths of a decibel can be told.'
        }}
      </p></template
    >
    <template #nothing>
      <div v-if="set && !set.stressConsent" class="stack">
        <p>
          Five minutes into a load, then open, then short at the socket. This may destroy the final stage of
          the set. It stays shut until the owner’s consent is on record.
        </p>
        <VTextField v-model="owner" label="Owner who consents" :disabled="store.readOnly" maxlength="200" />
        <VCheckbox
          v-model="understood"
          label="The owner accepts that the set may be damaged or lost"
          :disabled="store.readOnly"
        />
        <div class="row">
          <VBtn
            color="primary"
            :disabled="!understood || owner.trim() === '' || store.readOnly"
            @click="consent"
            >Record the consent</VBtn
          >
        </div>
      </div>
      <p v-else>
        {{ set ? 'Nothing is planned yet: put bands and channels on the card.' : 'Add a radio first.' }}
      </p>
    </template>
  </StationFrame>
</template>

<style scoped>
.consent {
  display: flex;
  gap: 10px;
  align-items: center;
}
.helper {
  padding: 8px;
}
</style>
