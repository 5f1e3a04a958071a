<script setup lang="ts">
import type { EChartsCoreOption } from 'echarts/core'
import { watchDebounced } from '@vueuse/core'
import { EChart } from './echarts'

/** A chart, with what it says in words for those who cannot see it. */
const {
  option,
  spoken,
  anew = false,
} = defineProps<{
  option: EChartsCoreOption
  spoken: string
  /** Drawn from nothing each time, where its series come and go. */
  anew?: boolean
}>()

/** A keystroke’s verdict stands at once; the drawing follows when the hand rests. */
const RESTS_MS = 30
const LATEST_MS = 120
const drawn = shallowRef(option)
watchDebounced(
  () => option,
  latest => {
    drawn.value = latest
  },
  { debounce: RESTS_MS, maxWait: LATEST_MS },
)

/** Its frame is made in a turn of its own, and it is drawn in the next: each is as much work as the rest of a page. */
const turns = useTurns(3)
</script>

<template>
  <div role="img" :aria-label="spoken">
    <EChart
      v-if="turns > 1"
      :option="turns > 2 ? drawn : undefined"
      autoresize
      :update-options="{ notMerge: anew }"
      :init-options="{ renderer: 'svg' }"
    />
  </div>
</template>
