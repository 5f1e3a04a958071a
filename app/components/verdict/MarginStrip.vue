<script setup lang="ts">
import { marginWords, stripGeometry, type Verdict } from '#core/decision'
import { printHalfWidth } from '#core/quantity'

const { verdict } = defineProps<{ verdict: Verdict }>()

const geometry = computed(() => stripGeometry(verdict))
const percent = (share: number) => `${(share * 100).toFixed(2)}%`
const spoken = computed(() => {
  const { margin, range, unit } = verdict
  if (margin === null || geometry.value.mark === null) return 'No mark: nothing was measured here.'
  const by = `${marginWords(verdict)}${unit === 'dB' ? ' dB' : ''}`
  const known = range === null ? '' : `, range ${printHalfWidth(range, unit)}`
  return `${margin >= 0 ? 'Inside' : 'Beyond'} the limit by ${by}${known}.`
})
</script>

<template>
  <span class="strip" role="img" :aria-label="spoken">
    <span class="good" :style="{ width: percent(geometry.limitAt) }" />
    <span class="beyond" :style="{ left: percent(geometry.limitAt) }" />
    <span v-for="tick in geometry.ticks" :key="tick" class="tick" :style="{ left: percent(tick) }" />
    <span class="limit" :style="{ left: percent(geometry.limitAt) }" />
    <template v-if="geometry.mark !== null">
      <span
        v-if="geometry.whisker"
        :class="['whisker', 'verdict-ink', verdict.state]"
        :style="{
          left: percent(geometry.whisker.from),
          width: percent(geometry.whisker.to - geometry.whisker.from),
        }"
      />
      <span class="seat" :style="{ left: percent(geometry.mark) }"
        ><VerdictMark :state="verdict.state" :size="14"
      /></span>
    </template>
  </span>
</template>

<style scoped>
.strip {
  position: relative;
  display: block;
  height: 26px;
  min-width: 90px;
  width: 100%;
}
.good,
.beyond {
  position: absolute;
  top: 6px;
  height: 14px;
}
.good {
  left: 0;
  background: rgb(var(--v-theme-inside-wash));
  border-radius: 2px 0 0 2px;
}
.beyond {
  right: 0;
  border-radius: 0 2px 2px 0;
  background: repeating-linear-gradient(
    135deg,
    rgb(var(--v-theme-outside-wash)) 0 4px,
    rgba(var(--v-theme-outside), 0.28) 4px 5px
  );
}
.tick {
  position: absolute;
  top: 15px;
  width: 1px;
  height: 5px;
  background: var(--ink-3);
  opacity: 0.7;
}
.limit {
  position: absolute;
  top: 1px;
  height: 24px;
  width: 3px;
  margin-left: -1.5px;
  background: var(--ink);
}
.whisker {
  position: absolute;
  top: 12px;
  height: 2px;
  background: currentcolor;
}
.whisker::before,
.whisker::after {
  content: '';
  position: absolute;
  top: -4px;
  width: 2px;
  height: 10px;
  background: currentcolor;
}
.whisker::before {
  left: 0;
}
.whisker::after {
  right: 0;
}
.seat {
  position: absolute;
  top: 6px;
  transform: translateX(-50%);
  line-height: 0;
  filter: drop-shadow(0 0 0.6px var(--sheet)) drop-shadow(0 0 0.6px var(--sheet));
}

.seat :deep(svg) {
  display: block;
}
</style>
