<script setup lang="ts">
import type { LimitAnswer } from '#core/rules'
import { printDbm } from '#core/quantity'

const { limit, carrierWords } = defineProps<{ limit: LimitAnswer; carrierWords: string }>()
</script>

<template>
  <section class="sheet panel" aria-labelledby="why-title">
    <h2 id="why-title">{{ limit.kind === 'limit' ? `Why ${printDbm(limit.limitDbm)}` : 'Why no figure' }}</h2>
    <p>{{ limit.reason }}</p>
    <p class="small quiet">{{ carrierWords }}</p>
    <p class="source">{{ limit.clause }} · {{ limit.rulebook.title }}<span v-if="limit.kind === 'limit' && limit.recalled" class="quiet"> · recalled, confidence {{ limit.confidence }}; check the current text</span></p>
  </section>
</template>

<style scoped>
.panel { padding: 14px 16px; display: grid; grid-template-columns: minmax(0, 1fr); gap: 7px; }
.source { color: var(--spruce); }
</style>
