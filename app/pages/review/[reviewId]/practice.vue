<script setup lang="ts">
/** The bench of an evening of practice, beside the review that is done on it. */
const store = useReviewStore()
const practice = usePracticeStore()
const { set } = useReviewRoute()
</script>

<template>
  <div v-if="store.review && store.context && set && practice.session" class="stack">
    <h1>{{ practice.session.evening.title }}</h1>
    <PracticeBench :session="practice.session" :review="store.review" :set="set" />
    <div class="pair">
      <PracticeJob :job="practice.session.evening.job" :set="set" :context="store.context" />
      <PracticeEnvelope :session="practice.session" :context="store.context" />
    </div>
    <p><NuxtLink to="/practice" class="link">All evenings, and your record</NuxtLink></p>
  </div>
  <section v-else class="sheet nothing">
    <h1>No evening of practice</h1>
    <p>
      This review is about real radios.
      <NuxtLink to="/practice" class="link">Evenings of practice</NuxtLink> have a bench of their own.
    </p>
  </section>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 14px;
  align-items: start;
}
</style>
