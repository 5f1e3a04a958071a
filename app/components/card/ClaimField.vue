<script setup lang="ts">
import { claimText, type PowerClaim, readClaim } from '#core/review'

/** What the maker claims of one band at one level, as typed. */
const {
  claim,
  label,
  disabled = false,
} = defineProps<{ claim: PowerClaim | undefined; label: string; disabled?: boolean }>()
const emit = defineEmits<{ keep: [claim: PowerClaim] }>()

const draft = ref<string | null>(null)
const problem = ref('')

function typed(text: string): void {
  draft.value = text
}

function keep(): void {
  if (draft.value === null) return
  const read = readClaim(draft.value)
  problem.value = read.ok ? '' : read.message
  if (!read.ok) return
  draft.value = null
  emit('keep', read.claim)
}

function selectAll(event: FocusEvent): void {
  if (event.target instanceof HTMLInputElement) event.target.select()
}
</script>

<template>
  <VTextField
    :model-value="draft ?? claimText(claim)"
    :label="label"
    :error-messages="problem"
    :disabled="disabled"
    class="claim"
    @update:model-value="typed"
    @blur="keep"
    @keydown.enter="keep"
    @focus="selectAll"
  />
</template>

<style scoped>
.claim {
  min-width: 110px;
}
.claim :deep(input) {
  font-family: var(--figures);
}
</style>
