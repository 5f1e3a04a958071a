<script setup lang="ts">
/** What can be done about a review that cannot be opened: what is sound, the raw records, or nothing. */
const { id } = defineProps<{ id: string }>()
const shelf = useShelfStore()
const ui = useUiStore()
const { takeRaw } = useTakeAway()

const busy = ref(false)
const rescued = shallowRef<{ id: string; left: string[] } | null>(null)

async function rescue(): Promise<void> {
  busy.value = true
  try {
    rescued.value = await shelf.rescue(id)
  } catch (error) {
    ui.sayProblem(error)
  }
  busy.value = false
}
</script>

<template>
  <div class="stack">
    <div v-if="rescued" class="stack" data-testid="rescued">
      <p>What was sound is on the shelf as a review of its own; the damaged one stays as it is.</p>
      <div v-if="rescued.left.length">
        <p>Left out:</p>
        <ul>
          <li v-for="line in rescued.left" :key="line">{{ line }}</li>
        </ul>
      </div>
      <p v-else>Nothing had to be left out.</p>
      <div class="row">
        <VBtn color="primary" :to="`/review/${rescued.id}/card`">Open what was sound</VBtn>
      </div>
    </div>
    <div class="row">
      <VBtn v-if="!rescued" color="primary" :loading="busy" @click="rescue">Save what is sound</VBtn>
      <VBtn variant="outlined" @click="takeRaw(id)">Take the raw records away</VBtn>
      <slot />
    </div>
  </div>
</template>
