<script setup lang="ts">
import type { HandSwitch } from '#core/practice'
import { printMhzFigure, printNumber } from '#core/quantity'
import type { RadioSet } from '#core/review'
import type { PracticeSession } from '~/practice/session'

/** The radio of the evening: its switches, its pack, its key. */
const { session, set, carrierHz, volts, isKeyed } = defineProps<{
  session: PracticeSession
  set: RadioSet
  carrierHz: number
  volts: number
  isKeyed: boolean
}>()
const emit = defineEmits<{ key: [] }>()
const bar = computed(() => {
  const claim = Object.values(set.bands[0]?.claims ?? {})[0]
  const claimedW = claim?.kind === 'watts' ? claim.powerW : 0
  return isKeyed ? session.bench.radio(set.id).barOfTen({ carrierHz, claimedW }) : 0
})
const hands = computed(() => session.kept.value.hands)
const SWITCHES: readonly { id: HandSwitch; title: string }[] = [
  { id: 'toneSquelch', title: 'Tone squelch' },
  { id: 'dualWatch', title: 'Dual watch' },
]
const isFull = computed(() => hands.value.battery === 'full')

function turn(id: HandSwitch, to: boolean | null): void {
  session.turn({ turn: id, to: to === true })
}

const charge = () => session.turn({ turn: 'battery', to: 'full' })
</script>

<template>
  <section class="thing" aria-label="The radio">
    <h3>{{ set.make }} {{ set.model }}, sample {{ set.sample }}</h3>
    <p class="small quiet">claims 5 W on 2 m</p>
    <p class="figure dial">{{ printMhzFigure(carrierHz) }}</p>
    <p class="bar" role="img" :aria-label="`Power display: ${bar} of ten segments`">
      <span v-for="n in 10" :key="n" :class="{ lit: n <= bar }" />
    </p>
    <VSwitch
      v-for="one in SWITCHES"
      :key="one.id"
      :label="one.title"
      :model-value="hands[one.id]"
      :inset="false"
      @update:model-value="turn(one.id, $event)"
    />
    <p class="spread">
      <span>Battery</span>
      <span
        ><span class="figure">{{ printNumber(volts, 1) }} V</span>
        <VBtn v-if="!isFull" size="x-small" variant="outlined" class="charge" @click="charge"
          >Charge it</VBtn
        ></span
      >
    </p>
    <VBtn
      block
      :color="isKeyed ? undefined : 'primary'"
      :variant="isKeyed ? 'outlined' : 'flat'"
      @click="emit('key')"
      >{{ isKeyed ? 'Release (Space)' : 'Key (Space)' }}</VBtn
    >
  </section>
</template>

<style scoped>
.bar {
  display: grid;
  grid-template-columns: repeat(10, 1fr);
  gap: 2px;
}
.bar span {
  height: 8px;
  background: rgb(var(--v-theme-track));
}
.bar .lit {
  background: var(--spruce);
}
.dial {
  font-size: 22px;
  font-weight: 700;
  text-align: right;
}
.charge {
  margin-left: 8px;
}
</style>
