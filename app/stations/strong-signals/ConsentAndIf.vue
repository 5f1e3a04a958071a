<script setup lang="ts">
import { printFrequencyShort } from '#core/quantity'
import { STRONG_ID, strongMemo, type StrongMemo, SURVIVAL_DBM } from '#core/station'
import type { StationPart } from '~/stations'

/** The owner’s consent to survival, and the intermediate frequency as far as anybody knows it. */
const { result } = defineProps<StationPart>()
const store = useReviewStore()

const memo = computed<StrongMemo | null>(() =>
  store.context ? strongMemo(result.step.set, store.context) : null,
)
const upTo = ref<number>(SURVIVAL_DBM[0])
const by = ref('')
const LEVELS = SURVIVAL_DBM.map(level => ({ value: level, title: `up to +${level} dBm` }))
const SIDES = [
  { value: false, title: 'oscillator below' },
  { value: true, title: 'oscillator above' },
]

const words = computed(() => {
  const consent = memo.value?.consent ?? null
  const by = consent && `${consent.by || 'the owner'}, ${consent.at.slice(0, 10)}`
  const said = consent
    ? `consent up to +${consent.upToDbm} dBm by ${by}`
    : 'survival only with the owner’s consent'
  const ifHz = memo.value?.ifHz ?? null
  return ifHz === null ? said : `${said}; IF ${printFrequencyShort(ifHz)}`
})

function keep(label: string, change: Partial<StrongMemo>): void {
  if (!memo.value) return
  const next = { ...memo.value, ...change }
  store.change(label, draft => {
    const kept = (draft.memos[STRONG_ID] ??= { common: null, bySet: {} })
    kept.bySet[result.step.set.id] = next
  })
}

function consent(): void {
  keep('the owner’s consent', {
    consent: { by: by.value.trim(), at: new Date().toISOString(), upToDbm: upTo.value },
  })
}
</script>

<template>
  <details v-if="memo" class="sheet memo">
    <summary>
      Survival and intermediate frequency
      <span class="small quiet">
        {{ words }}
      </span>
    </summary>
    <p class="small quiet">
      Watts into a receiver may destroy it. Steps of ten seconds at +10, +18, +27 and +37 dBm stop where the
      owner’s consent stops. Both generators come off before.
    </p>
    <div v-if="memo.consent" class="row">
      <VBtn
        variant="outlined"
        :disabled="store.readOnly"
        @click="keep('consent withdrawn', { consent: null })"
        >Withdraw the consent</VBtn
      >
    </div>
    <form v-else class="row" @submit.prevent="consent">
      <VTextField v-model="by" label="Who owns it and accepts the risk" class="who" :maxlength="200" />
      <VSelect v-model="upTo" :items="LEVELS" label="Accepted" class="level" />
      <VBtn type="submit" variant="outlined" :disabled="store.readOnly">The owner accepts</VBtn>
    </form>
    <div class="row">
      <NumberField
        :model-value="memo.ifHz"
        label="First intermediate frequency"
        frequency
        optional
        empty-words="not known"
        :min="1000"
        :max="1e10"
        :disabled="store.readOnly"
        @update:model-value="keep('an intermediate frequency', { ifHz: $event })"
      />
      <VSelect
        :model-value="memo.isHighSide"
        :items="SIDES"
        label="Its oscillator"
        class="level"
        :disabled="store.readOnly"
        @update:model-value="keep('the side of an oscillator', { isHighSide: $event === true })"
      />
    </div>
  </details>
</template>

<style scoped>
.memo {
  padding: 8px 14px;
}
.memo summary {
  cursor: pointer;
  font-weight: 600;
}
.memo[open] summary {
  margin-bottom: 8px;
}
.row {
  margin-top: 8px;
}
.who {
  max-width: 280px;
}
.level {
  max-width: 200px;
}
</style>
