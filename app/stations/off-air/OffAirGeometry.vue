<script setup lang="ts">
import { OFF_AIR_ID, offAirGeometry } from '#core/station'
import type { StationPart } from '~/stations'

/** Where radio and receive antenna stand: the same for all radios. */
defineProps<StationPart>()
const store = useReviewStore()
const geometry = computed(() => (store.context ? offAirGeometry(store.context) : ''))

function keep(text: string): void {
  store.change('where radio and antenna stand', draft => {
    draft.memos[OFF_AIR_ID] = { bySet: {}, ...draft.memos[OFF_AIR_ID], common: { geometry: text } }
  })
}
</script>

<template>
  <div class="sheet geometry">
    <CommitField
      :model-value="geometry"
      label="Where radio and receive antenna stand: the same for all radios"
      multiline
      :disabled="store.readOnly"
      @update:model-value="keep"
    />
    <p class="small quiet">
      An observation, never a verdict: antenna, room and hand change it by 10 dB and more, and a receive
      antenna may favour a harmonic. It compares radios at one place on one day.
    </p>
  </div>
</template>

<style scoped>
.geometry {
  padding: 12px 14px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
}
</style>
