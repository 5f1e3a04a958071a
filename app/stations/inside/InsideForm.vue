<script setup lang="ts">
import type { StationRun } from '~/composables/useStationRun'
import { useInside } from './useInside'

/** Asks who may adjust the set; the station stays shut without it. */
const { run } = defineProps<{ run: StationRun }>()
const store = useReviewStore()
const { memo, begin } = useInside(run)
const by = ref('')
const understood = ref(false)
const isComplete = computed(() => understood.value && by.value.trim() !== '' && !store.readOnly)

function start(): void {
  if (isComplete.value) begin(by.value.trim())
}
</script>

<template>
  <p v-if="memo">Nothing is planned yet: put bands and channels on the card.</p>
  <div v-else class="stack">
    <p>
      For sets that are made to be adjusted. Read power and deviation at their stations first: what stands
      there when you begin is “before”. Adjusting may void approval and warranty; high voltages at radio
      frequency stand inside.
    </p>
    <VTextField
      v-model="by"
      label="Who is licensed or competent to adjust it"
      :disabled="store.readOnly"
      maxlength="200"
      @keydown.enter="start"
    />
    <VCheckbox
      v-model="understood"
      label="The owner wants it adjusted, and knows what that may void"
      :disabled="store.readOnly"
    />
    <div class="row">
      <VBtn color="primary" :disabled="!isComplete" @click="start">Begin to adjust</VBtn>
    </div>
  </div>
</template>
