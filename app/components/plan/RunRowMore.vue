<script setup lang="ts">
import { stationById } from '#core/station'
import type { RunRow } from '~/composables/useRunRows'

/** Under a step of the run: what it asks for; or, where it is to be left out, why. */
const { row, asksWhy } = defineProps<{ row: RunRow; asksWhy: boolean }>()
const emit = defineEmits<{ skip: [reason: string] }>()
const store = useReviewStore()

const reason = ref('')
const settings = computed(() => row.step.radioSettings.map(({ words }) => words).join(' · '))
const demands = computed(() => {
  const asked = store.context ? stationById(row.step.stationId).demands(row.step, store.context) : []
  if (asked.length === 0) return 'nothing; shown and compared'
  return asked.map(({ by, words }) => `${by}: ${words}`).join(' · ')
})

function skip(): void {
  const text = reason.value.trim()
  if (text !== '') emit('skip', text)
}
</script>

<template>
  <form v-if="asksWhy" class="row why" @submit.prevent="skip">
    <VTextField v-model="reason" label="Why is it left out?" maxlength="300" autofocus /><VBtn
      type="submit"
      color="primary"
      :disabled="reason.trim() === ''"
      >Leave it out</VBtn
    >
  </form>
  <div v-else class="small about">
    <p>{{ row.step.instruction }}</p>
    <p><strong>Set the radio:</strong> {{ settings }}</p>
    <p><strong>Judged by:</strong> {{ demands }}</p>
    <p class="quiet">{{ row.step.cautions.join(' ') }}</p>
  </div>
</template>

<style scoped>
.why {
  flex-wrap: nowrap;
  max-width: 560px;
}
.about {
  display: grid;
  gap: 4px;
  max-width: 90ch;
}
</style>
