<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { momentDue } from '#core/station'
import type { StationPart } from '~/stations'

/** While the radio is keyed the log follows the clock: the moment that is due is the field in hand. */
const { result } = defineProps<StationPart>()
const ui = useUiStore()
const takeInHand = inject(TAKE_IN_HAND, null)
const now = ref(Date.now())
useIntervalFn(() => {
  now.value = Date.now()
}, 250)

const keyedS = computed(() => {
  const keyed = ui.keyedNow
  const isHere = keyed?.stepId === result.step.id && keyed.setId === result.step.set.id
  return keyed && isHere ? Math.max(0, (now.value - keyed.since) / 1000) : null
})
const due = computed(() => (keyedS.value === null ? null : momentDue(result.slots, keyedS.value)))

watch(
  () => due.value?.slotId ?? null,
  slotId => {
    if (slotId !== null) takeInHand?.(slotId)
  },
)

const words = computed(() => {
  const moment = due.value
  if (!moment || keyedS.value === null) return ''
  const away = Math.round(moment.atS - keyedS.value)
  if (away > 0) return `${moment.label} is next, in ${away} s`
  return away < 0 ? `${moment.label} is due, ${-away} s late` : `${moment.label} is due now`
})
</script>

<template>
  <p v-if="words" class="due" data-testid="moment-due">{{ words }}</p>
</template>

<style scoped>
.due {
  padding: 6px 12px;
  border-radius: var(--radius);
  background: rgb(var(--v-theme-close-wash));
  font-weight: 600;
}
</style>
