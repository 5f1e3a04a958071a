<script setup lang="ts">
import { ammeterOf, BATTERY_ID, type BatteryMemo, batteryMemo } from '#core/station'
import type { StationPart } from '~/stations'

/** The reviewer’s own duty, and how well the ammeter reads: the same for all radios. */
defineProps<StationPart>()
const store = useReviewStore()
const memo = computed(() => (store.context ? batteryMemo(store.context) : null))
const assumed = computed(() => (store.context ? `± ${ammeterOf(store.context).percent} % assumed` : ''))

const words = computed(() => {
  const duty = memo.value?.duty
  const own = duty
    ? `${duty.transmitPercent} % keyed, ${duty.audioPercent} % receiving`
    : 'none of your own yet'
  const ammeter = memo.value?.ammeterPercent ?? null
  return `${own}; ammeter ${ammeter === null ? assumed.value : `within ± ${ammeter} %`}`
})

function keep(label: string, change: Partial<BatteryMemo>): void {
  const now = memo.value
  if (!now) return
  store.change(label, draft => {
    draft.memos[BATTERY_ID] = { bySet: {}, ...draft.memos[BATTERY_ID], common: { ...now, ...change } }
  })
}

function keepShare(share: 'transmitPercent' | 'audioPercent', value: number | null): void {
  const none = { transmitPercent: 0, audioPercent: 0 }
  const duty = { ...none, ...memo.value?.duty, [share]: value ?? 0 }
  keep('the own duty', { duty: duty.transmitPercent + duty.audioPercent === 0 ? null : duty })
}
</script>

<template>
  <details v-if="memo" class="sheet own">
    <summary>
      Own duty and ammeter <span class="small quiet">{{ words }}</span>
    </summary>
    <div class="row fields">
      <NumberField
        :model-value="memo.duty?.transmitPercent ?? null"
        label="Own duty: keyed"
        unit="%"
        :min="0"
        :max="100"
        optional
        dense
        :disabled="store.readOnly"
        @update:model-value="keepShare('transmitPercent', $event)"
      />
      <NumberField
        :model-value="memo.duty?.audioPercent ?? null"
        label="Receiving"
        unit="%"
        :min="0"
        :max="100"
        optional
        dense
        :disabled="store.readOnly"
        @update:model-value="keepShare('audioPercent', $event)"
      />
      <NumberField
        :model-value="memo.ammeterPercent"
        label="Ammeter reads within ±"
        unit="%"
        :min="0"
        :max="50"
        optional
        dense
        :empty-words="assumed"
        :disabled="store.readOnly"
        @update:model-value="keep('how well the ammeter reads', { ammeterPercent: $event })"
      />
    </div>
  </details>
</template>

<style scoped>
.own {
  padding: 8px 14px;
}
.own summary {
  cursor: pointer;
  font-weight: 600;
}
.fields {
  margin-top: 10px;
  gap: 12px;
}
.fields > * {
  flex: 1 1 150px;
  max-width: 240px;
}
</style>
