<script setup lang="ts">
import { chainIdOf, type Step, powerToExpect } from '#core/step'
import { useIntervalFn } from '@vueuse/core'
import { heatNow, keyDownState } from '#core/plan'
import { isOnControl } from '~/keys/isTyping'

/** Counts down what radio, load and pads can take, asks for rest, and logs every key-down. */
const { step, unsafe } = defineProps<{ step: Step; unsafe: boolean }>()
const store = useReviewStore()
const ui = useUiStore()
const { beep } = useSoundCue()

const keyedSince = ref<number | null>(null)
const keyedStep = shallowRef<Step | null>(null)
const limitS = ref(0)
const now = ref(Date.now())
useIntervalFn(() => {
  now.value = Date.now()
}, 250)

const powerW = computed(() => powerToExpect(step.set, step.claim).powerW)
const heats = computed(() =>
  store.context
    ? heatNow(
        {
          set: step.set,
          chainId: chainIdOf(step),
          frequencyHz: step.channel.frequencyHz,
          powerW: powerW.value,
          now: now.value,
        },
        store.context,
      )
    : [],
)
const narrowest = computed(() =>
  heats.value.reduce<(typeof heats.value)[number] | null>(
    (least, heat) => (least === null || heat.leftS < least.leftS ? heat : least),
    null,
  ),
)
const allowedS = computed(() => Math.floor(narrowest.value?.leftS ?? step.set.keyDownLimitS))
const restS = computed(() =>
  Math.max(
    0,
    ...heats.value
      .filter(({ leftS, restS: rest }) => leftS < 1 && Number.isFinite(rest))
      .map(heat => heat.restS),
  ),
)
const warmest = computed(() =>
  heats.value
    .filter(({ share }) => share > 0.02)
    .sort((a, b) => b.share - a.share)
    .slice(0, 2),
)
const totalS = computed(
  () =>
    store.review?.keyDowns
      .filter(({ setId }) => setId === step.set.id)
      .reduce((sum, { seconds }) => sum + seconds, 0) ?? 0,
)

const keyed = computed(() => keyedSince.value !== null)
const keyedS = computed(() =>
  keyedSince.value === null ? 0 : Math.max(0, (now.value - keyedSince.value) / 1000),
)
const state = computed(() => keyDownState(keyedS.value, limitS.value))
const clock = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`
const share = computed(() => {
  if (keyed.value) return Math.min(1, keyedS.value / Math.max(1, limitS.value))
  if (restS.value > 0) return 1
  return Math.min(1, narrowest.value?.share ?? 0)
})
const RING = 2 * Math.PI * 26
const words = computed(() => {
  if (keyed.value)
    return state.value.mustRest
      ? 'Release now and let it rest'
      : `keyed, ${clock(Math.max(0, state.value.leftS))} left`
  if (restS.value >= 1) return `rest: the ${narrowest.value?.name ?? 'radio'} is at its limit`
  return unsafe ? 'a check is open: do not key up' : `ready, ${clock(allowedS.value)} at most`
})

function cueNow(): 'over' | 'soon' | 'none' {
  if (state.value.mustRest) return 'over'
  return state.value.leftS <= SOON_S ? 'soon' : 'none'
}

/** The cue sounds this long before the rest, s. */
const SOON_S = 5

watch(
  () => keyed.value && store.review?.settings.soundCue && cueNow(),
  cue => {
    if (cue === 'soon') beep(880, 0.12)
    if (cue === 'over') beep(587, 0.5)
  },
)

function toggle(): void {
  now.value = Date.now()
  if (keyed.value) return release()
  if (unsafe) {
    ui.say('A bench check is open: do not key up. The checks say what is wrong.')
    return
  }
  if (allowedS.value < 1) {
    ui.say(
      restS.value >= 1
        ? `The ${narrowest.value?.name ?? 'radio'} needs ${clock(restS.value)} of rest first.`
        : `The ${narrowest.value?.name ?? 'radio'} does not bear this power: do not key up.`,
    )
    return
  }
  keyedSince.value = now.value
  keyedStep.value = step
  ui.keyedNow = { setId: step.set.id, stepId: step.id, since: now.value }
  limitS.value = allowedS.value
}

/** Every key-down is logged, with the step it was for. */
function release(): void {
  const from = keyedSince.value
  const keyed = keyedStep.value
  keyedSince.value = null
  keyedStep.value = null
  ui.keyedNow = null
  if (from === null || keyed === null || store.readOnly) return
  const seconds = Math.round((Date.now() - from) / 100) / 10
  if (seconds < 0.3) return
  store.change(
    'a key-down',
    draft =>
      void draft.keyDowns.push({
        id: crypto.randomUUID(),
        setId: keyed.set.id,
        stepId: keyed.id,
        chainId: chainIdOf(keyed),
        at: new Date().toISOString(),
        seconds,
        powerW: powerToExpect(keyed.set, keyed.claim).powerW,
      }),
  )
}

onBeforeUnmount(release)
watch(() => step.set.id, release)

useKeys({
  Space: event => {
    if (isOnControl(event)) return
    event.preventDefault()
    toggle()
  },
})

function keepCue(wanted: boolean | null): void {
  store.change('the sound cue', draft => {
    draft.settings.soundCue = wanted === true
  })
}
</script>

<template>
  <section class="sheet clock" aria-label="Key-down clock">
    <svg width="64" height="64" viewBox="0 0 64 64" aria-hidden="true">
      <circle cx="32" cy="32" r="26" class="track" />
      <circle
        cx="32"
        cy="32"
        r="26"
        :class="['hand', { rest: !keyed, over: keyed && state.mustRest }]"
        :stroke-dasharray="`${share * RING} ${RING}`"
        transform="rotate(-90 32 32)"
      />
    </svg>
    <div class="text">
      <p class="figure time" role="timer" data-testid="clock">
        {{ clock(keyed ? Math.max(0, state.leftS) : restS) }}
      </p>
      <p :class="['small', { over: keyed && state.mustRest, unsafe: !keyed && unsafe }]" aria-live="polite">
        {{ words }}
      </p>
    </div>
    <VBtn
      size="small"
      :variant="keyed ? 'flat' : 'outlined'"
      :color="keyed ? 'primary' : undefined"
      @click="toggle"
      >{{ keyed ? 'Released' : 'Keyed' }}</VBtn
    >
    <div class="foot small quiet">
      <span v-for="heat in warmest" :key="heat.id"
        >{{ heat.name }} {{ Math.round(100 * Math.min(9.99, heat.share)) }} %</span
      >
      <span v-if="totalS > 0">keyed {{ clock(totalS) }} in all</span>
      <VCheckbox
        class="cue"
        :model-value="store.review?.settings.soundCue ?? false"
        label="Sound"
        :disabled="store.readOnly"
        @update:model-value="keepCue"
      />
    </div>
  </section>
</template>

<style scoped>
.clock {
  display: grid;
  grid-template-columns: auto 1fr auto;
  align-items: center;
  gap: 4px 14px;
  padding: 12px 16px 6px;
}
.time {
  font-size: 23px;
  font-weight: 700;
  line-height: 1.15;
}
.track,
.hand {
  fill: none;
  stroke-width: 9;
}
.track {
  stroke: rgb(var(--v-theme-track));
}
.hand {
  stroke: var(--spruce);
}
.hand.rest {
  stroke: var(--line-2);
}
.hand.over {
  stroke: var(--outside);
}
.over,
.unsafe {
  color: var(--outside);
  font-weight: 700;
}
.foot {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: center;
}
.cue {
  margin-left: auto;
}
.cue :deep(.v-label) {
  font-size: 13px;
}
.cue :deep(.v-selection-control) {
  min-height: 26px;
}
</style>
