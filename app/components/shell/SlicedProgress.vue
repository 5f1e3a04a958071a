<script setup lang="ts">
/** How far work on a large review has come, while there is nothing to show of it yet. */
const { share, words } = defineProps<{ share: number | null; words: string }>()
const percent = computed(() => Math.round(100 * (share ?? 0)))
</script>

<template>
  <div v-if="share !== null" class="sheet block progress" role="status">
    <p>{{ words }}: {{ percent }} %</p>
    <VProgressLinear :model-value="percent" color="primary" height="6" rounded :aria-label="words" />
  </div>
</template>

<style scoped>
.progress {
  max-width: 560px;
}
</style>
