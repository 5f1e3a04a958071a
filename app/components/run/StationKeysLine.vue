<script setup lang="ts">
/** The keys of a station, in one line. */
const { takesFiles = false } = defineProps<{ takesFiles?: boolean }>()
</script>

<template>
  <p class="small quiet keys">
    <kbd>Enter</kbd> keep and go on <kbd>Space</kbd> key-down clock
    <template v-if="takesFiles"><kbd>I</kbd> bring in a file </template><kbd>N</kbd> next step
    <kbd>?</kbd> all keys
  </p>
</template>

<style scoped>
.keys {
  margin-left: auto;
}
</style>
