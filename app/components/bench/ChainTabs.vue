<script setup lang="ts">
import type { Chain } from '#core/chain'

/** The chains of the bench, one of them in hand. */
const { chains, here } = defineProps<{ chains: readonly Chain[]; here: string | null }>()
const emit = defineEmits<{ choose: [chainId: string] }>()
</script>

<template>
  <div class="tabs" role="tablist" aria-label="Chains">
    <button
      v-for="{ id, name } in chains"
      :key="id"
      type="button"
      role="tab"
      :aria-selected="id === here"
      :class="{ here: id === here }"
      @click="emit('choose', id)"
    >
      {{ name }}
    </button>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.tabs button {
  padding: 7px 13px;
  border-radius: var(--radius);
  color: var(--ink-2);
  border: 1px solid transparent;
}
.tabs button:hover {
  border-color: var(--line-2);
}
.tabs .here {
  background: rgb(var(--v-theme-secondary));
  color: rgb(var(--v-theme-background));
  font-weight: 600;
}
</style>
