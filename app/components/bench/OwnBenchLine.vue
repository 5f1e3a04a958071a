<script setup lang="ts">
import { isEmptyBench, movedOn, takenOver, withOwnBench } from '#core/own-bench'
import { fewNames } from '#core/review'

/** The review’s bench beside the reviewer’s own: kept as theirs, copied from it, told where the original moved on. */
const store = useReviewStore()
const own = useOwnBenchStore()
void own.load()

const moved = computed(() => (store.review && own.isLoaded ? movedOn(store.review, own.bench) : []))
const names = computed(() => fewNames(moved.value.map(({ name }) => name)))
const hasBench = computed(() => (store.review?.instruments.length ?? 0) > 0)
/** Anything of the own bench that this review has no copy of. */
const hasMore = computed(() => {
  const { review } = store
  if (!review || isEmptyBench(own.bench)) return false
  const there = new Set([...review.instruments, ...review.chains].map(({ id }) => id))
  return [...own.bench.instruments, ...own.bench.chains].some(({ id }) => !there.has(id))
})

function keep(): void {
  if (store.review) void own.keepFrom(store.review)
}

function takeCopies(): void {
  const { review } = store
  if (!review) return
  const { instruments, chains, calibrations, ownRulebooks } = withOwnBench(review, own.bench)
  store.change('copies of my bench', draft =>
    Object.assign(draft, { instruments, chains, calibrations, ownRulebooks }),
  )
}

function takeOver(): void {
  const { review } = store
  if (review)
    store.change('my bench as it is now', draft =>
      Object.assign(draft, takenOver(review, own.bench, moved.value)),
    )
}
</script>

<template>
  <div class="row line" data-testid="own-bench">
    <span v-if="moved.length" class="small"
      >On your bench these are not as they are here: {{ names }}. What was read keeps its figures until you
      take them over.</span
    >
    <VBtn v-if="moved.length" size="small" variant="outlined" :disabled="store.readOnly" @click="takeOver"
      >Take them over</VBtn
    >
    <VBtn v-if="hasMore" size="small" variant="text" :disabled="store.readOnly" @click="takeCopies"
      >Copy from my bench</VBtn
    >
    <VBtn v-if="hasBench" size="small" variant="text" @click="keep">Keep as my bench</VBtn>
  </div>
</template>

<style scoped>
.line:empty {
  display: none;
}
</style>
