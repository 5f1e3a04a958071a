<script setup lang="ts">
import { chainIdOf, type Offer, type Step } from '#core/step'
import { NATURE_TITLES, useSignalNature } from './useSignalNature'

/** What may be done about what was found: a pad test, or a word on what a line is. */
const { step } = defineProps<{ step: Step; offers: readonly Offer[]; disabled: boolean }>()
const { placeTo } = useReviewRoute()
const sayNature = useSignalNature()

const padTestAt = computed(() => ({
  ...placeTo('bench'),
  query: { set: step.set.id, chain: chainIdOf(step) ?? undefined },
}))
</script>

<template>
  <p v-for="offer in offers" :key="offer.id + offer.slotId" class="offer" role="note">
    <VerdictMark state="too-close" />
    <span v-if="offer.id === 'pad-test'"
      >{{ offer.words }} <NuxtLink :to="padTestAt">To the pad test</NuxtLink></span
    >
    <span v-else class="row"
      >{{ offer.words }}
      <VBtn
        v-for="(title, nature) in NATURE_TITLES"
        :key="nature"
        size="small"
        variant="outlined"
        :disabled="disabled"
        @click="sayNature(step, offer.slotId, nature)"
        >{{ title }}</VBtn
      ></span
    >
  </p>
</template>

<style scoped>
.offer {
  display: grid;
  grid-template-columns: 20px 1fr;
  align-items: baseline;
  padding: 8px 14px;
  background: rgb(var(--v-theme-close-wash));
  border: 1px solid var(--line-2);
  border-radius: var(--radius);
}
</style>
