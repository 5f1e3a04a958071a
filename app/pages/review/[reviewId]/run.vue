<script setup lang="ts">
import { setShortName } from '#core/review'
import type { RunRow } from '~/composables/useRunRows'

const store = useReviewStore()
const { set, sets, go, placeTo } = useReviewRoute()

const scope = ref<'all' | 'set'>('all')
const openOnly = ref(false)
const shownSets = computed(() => (scope.value === 'all' || !set.value ? sets.value : [set.value]))
const { run, rows, next, state, share } = useRunRows(
  () => shownSets.value,
  () => openOnly.value,
)
const goWords = computed(() => {
  if (!state.value) return 'Counting what is open'
  if (next.value) return 'To the next open step'
  return run.value?.steps.length ? 'All done' : 'Nothing planned'
})

function begin({ step }: RunRow): void {
  void go(step.stationId, { set: step.set.id, step: step.id })
}

function beginNext(): void {
  if (next.value) begin(next.value)
}
useKeys({ n: beginNext })
</script>

<template>
  <div v-if="run && store.context" class="stack">
    <div class="spread">
      <h1>The run</h1>
      <div class="row">
        <VBtnToggle
          v-if="set"
          v-model="scope"
          mandatory
          density="compact"
          variant="outlined"
          divided
          aria-label="Which radios"
        >
          <VBtn value="all" size="small">All radios</VBtn
          ><VBtn value="set" size="small" class="this">{{ setShortName(set) }}</VBtn>
        </VBtnToggle>
        <VCheckbox v-model="openOnly" label="Open only" />
        <VBtn color="primary" :disabled="!next" @click="beginNext">{{ goWords }}</VBtn>
      </div>
    </div>
    <div class="tops">
      <RunLeft :run="run" :left="state?.left ?? null" :share="share" />
      <RunSavings v-if="run.steps.length" :run="run" />
      <InTurn><AlsoStations /><OwnChannel v-if="set" :radio="set" /></InTurn>
    </div>
    <section class="sheet list" aria-label="Steps in order">
      <InTurn v-if="rows.length" :turn="2"><RunTable :rows="rows" @begin="begin" /></InTurn>
      <p v-else-if="openOnly && run.steps.length" class="empty">Nothing is open.</p>
      <p v-else class="empty">
        Nothing is planned yet. The run follows from the card, the claims, the rulebooks and the bench.
        <NuxtLink :to="placeTo('card')">Begin with the card</NuxtLink>.
      </p>
    </section>
  </div>
  <SlicedProgress v-else :share="share" words="Planning the run" />
</template>

<style scoped>
.this {
  max-width: 190px;
}
.this :deep(.v-btn__content) {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  max-width: 100%;
  min-width: 0;
}
.tops {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(225px, 1fr));
  gap: 14px;
}
.list {
  position: relative;
  overflow-x: auto;
  padding: 2px 6px;
}
.empty {
  padding: 18px;
}
.empty a {
  color: var(--spruce);
}
</style>
