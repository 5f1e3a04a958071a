<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { keyDownState, restLeftS } from '#core/plan'
import { isOnControl } from '~/keys/isTyping'

const { limitS, unsafe } = defineProps<{ limitS: number; unsafe: boolean }>()
const ui = useUiStore()

const keyedSince = ref<number | null>(null)
const lastKeyedS = ref(0)
const releasedAt = ref<number | null>(null)
const now = ref(Date.now())
useIntervalFn(() => { now.value = Date.now() }, 250)

const keyedS = computed(() => keyedSince.value === null ? 0 : Math.max(0, (now.value - keyedSince.value) / 1000))
const state = computed(() => keyDownState(keyedS.value, limitS))
const restS = computed(() => releasedAt.value === null ? 0 : restLeftS(lastKeyedS.value, (now.value - releasedAt.value) / 1000))
const clock = (seconds: number) => `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`
const keyed = computed(() => keyedSince.value !== null)
const share = computed(() => keyed.value ? Math.min(1, keyedS.value / limitS) : restS.value > 0 ? Math.min(1, restS.value / Math.max(1, lastKeyedS.value)) : 0)
const RING = 2 * Math.PI * 26
const words = computed(() => {
  if (keyed.value) return state.value.mustRest ? 'Release now and let it rest' : `keyed down, rest after ${clock(limitS)}`
  return restS.value >= 1 ? 'rest before the next key-down' : unsafe ? 'a check is open: do not key up' : `ready, ${clock(limitS)} at most`
})

function toggle(): void {
  now.value = Date.now()
  if (keyed.value) {
    lastKeyedS.value = keyedS.value
    releasedAt.value = now.value
    keyedSince.value = null
    return
  }
  if (unsafe) {
    ui.say('A bench check is open: do not key up. The checks say what is wrong.')
    return
  }
  keyedSince.value = now.value
  releasedAt.value = null
}

useKeys({ Space: (event) => {
  if (isOnControl(event)) return
  event.preventDefault()
  toggle()
} })
</script>

<template>
  <section class="sheet clock" aria-label="Key-down clock">
    <svg width="64" height="64" viewBox="0 0 64 64" aria-hidden="true">
      <circle cx="32" cy="32" r="26" class="track" /><circle cx="32" cy="32" r="26" :class="['hand', { rest: !keyed, over: state.mustRest }]" :stroke-dasharray="`${share * RING} ${RING}`" transform="rotate(-90 32 32)" />
    </svg>
    <div class="text">
      <p class="figure time" role="timer">{{ clock(keyed ? keyedS : restS) }}</p>
      <p :class="['small', { over: keyed && state.mustRest, unsafe: !keyed && unsafe }]" aria-live="polite">{{ words }}</p>
    </div>
    <VBtn size="small" :variant="keyed ? 'flat' : 'outlined'" :color="keyed ? 'primary' : undefined" @click="toggle">{{ keyed ? 'Released' : 'Keyed' }}</VBtn>
  </section>
</template>

<style scoped>
.clock { display: flex; align-items: center; gap: 14px; padding: 12px 16px; }
.text { flex: 1; }
.time { font-size: 23px; font-weight: 700; line-height: 1.15; }
.track, .hand { fill: none; stroke-width: 9; }
.track { stroke: rgb(var(--v-theme-track)); }
.hand { stroke: var(--spruce); }
.hand.rest { stroke: var(--line-2); }
.hand.over { stroke: var(--outside); }
.over, .unsafe { color: var(--outside); font-weight: 700; }
</style>
