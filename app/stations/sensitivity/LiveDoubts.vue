<script setup lang="ts">
/** What is wrong with what is heard, in words. */
defineProps<{ doubts: readonly string[] }>()
</script>

<template>
  <ul class="doubts small" aria-live="polite" data-testid="doubts">
    <li v-for="doubt in doubts" :key="doubt"><VerdictMark state="too-close" /> {{ doubt }}</li>
  </ul>
</template>

<style scoped>
.doubts {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 3px;
}
</style>
