<script setup lang="ts">
import type { VerdictState } from '#core/decision'

const { state, size = 12 } = defineProps<{ state: VerdictState; size?: number }>()
</script>

<template>
  <svg
    :class="['mark', 'verdict-ink', state]"
    :width="size"
    :height="size"
    viewBox="0 0 12 12"
    aria-hidden="true"
    focusable="false"
  >
    <circle v-if="state === 'inside'" cx="6" cy="6" r="5" />
    <path v-else-if="state === 'too-close'" d="M6 .6 11.4 6 6 11.4 .6 6z" />
    <path v-else-if="state === 'outside'" d="M.6 1.4h10.8L6 11.2z" />
    <circle v-else-if="state === 'not-covered'" class="ring dashed" cx="6" cy="6" r="4.6" />
    <g v-else-if="state === 'no-figure'">
      <circle class="ring" cx="6" cy="6" r="4.6" />
      <path class="ring" d="M3.4 6h5.2" />
    </g>
    <rect v-else class="ring" x="1.6" y="1.6" width="8.8" height="8.8" />
  </svg>
</template>

<style scoped>
.mark {
  flex: none;
  overflow: visible;
  fill: currentcolor;
  vertical-align: -1px;
}
.ring {
  fill: none;
  stroke: currentcolor;
  stroke-width: 1.6;
}
.dashed {
  stroke-dasharray: 2.4 2;
}
</style>
