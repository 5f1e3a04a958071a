<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { type HeardSignal, MOST_SIGNALS, REACH_ID, type ReachMemo, reachMemo } from '#core/station'
import type { StationPart } from '~/stations'

/** Where the radios were held, and the signals each of them is asked about: the same for all. */
defineProps<StationPart>()
const store = useReviewStore()
const memo = computed<ReachMemo | null>(() => (store.context ? reachMemo(store.context) : null))
const words = computed(() => {
  const count = memo.value?.signals.length ?? 0
  return `${memo.value?.place || 'say where'}; ${count} ${count === 1 ? 'signal' : 'signals'}`
})

/** Open where nobody said yet where; from then on as the reader leaves it. */
const isOpen = ref(memo.value?.place === '')

function keepOpen(event: Event): void {
  isOpen.value = (event.target as HTMLDetailsElement).open
}

function keep(label: string, change: Partial<ReachMemo>): void {
  const now = memo.value
  if (!now) return
  const next: ReachMemo = { place: now.place, signals: now.signals.map(one => ({ ...one })), ...change }
  store.change(label, draft => {
    draft.memos[REACH_ID] = { bySet: {}, ...draft.memos[REACH_ID], common: next }
  })
}

function changeSignal(id: string, change: Partial<HeardSignal>): void {
  const signals = memo.value?.signals ?? []
  keep('a signal that is listened for', {
    signals: signals.map(one => ({ ...one, ...(one.id === id && change) })),
  })
}

function add(): void {
  const signals = memo.value?.signals ?? []
  keep('a signal that is listened for', {
    signals: [...signals, { id: crypto.randomUUID(), who: '', where: '' }],
  })
}

function remove(id: string): void {
  keep('a signal taken off', { signals: (memo.value?.signals ?? []).filter(one => one.id !== id) })
}
</script>

<template>
  <details v-if="memo" class="sheet signals" :open="isOpen" @toggle="keepOpen">
    <summary>
      Where, and who is listened for <span class="small quiet">{{ words }}</span>
    </summary>
    <CommitField
      :model-value="memo.place"
      label="Where the radios are held, and when"
      class="place"
      :disabled="store.readOnly"
      @update:model-value="keep('where the radios are held', { place: $event })"
    />
    <ul>
      <li v-for="(signal, i) in memo.signals" :key="signal.id" class="row">
        <CommitField
          :model-value="signal.who"
          :label="`Who is heard, ${i + 1}`"
          class="who"
          :disabled="store.readOnly"
          @update:model-value="changeSignal(signal.id, { who: $event })"
        />
        <CommitField
          :model-value="signal.where"
          :label="`From where, ${i + 1}`"
          class="who"
          :disabled="store.readOnly"
          @update:model-value="changeSignal(signal.id, { where: $event })"
        />
        <VBtn
          :icon="mdiClose"
          variant="text"
          size="small"
          :aria-label="`Take ${signal.who || 'this signal'} off`"
          :disabled="store.readOnly"
          @click="remove(signal.id)"
        />
      </li>
    </ul>
    <VBtn variant="outlined" :disabled="store.readOnly || memo.signals.length >= MOST_SIGNALS" @click="add"
      >Another signal</VBtn
    >
  </details>
</template>

<style scoped>
.signals {
  padding: 8px 14px;
}
.signals summary {
  cursor: pointer;
  font-weight: 600;
}
.place {
  margin-top: 10px;
}
ul {
  list-style: none;
  margin: 10px 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
.row {
  gap: 8px;
  align-items: center;
  flex-wrap: nowrap;
}
.who {
  flex: 1 1 140px;
}
</style>
