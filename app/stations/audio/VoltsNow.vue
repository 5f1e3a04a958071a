<script setup lang="ts">
import { printHz, printNumber, printPercent } from '#core/quantity'
import { keptVolts, likelySlot, type RecordedVolts, voltsOf } from '#core/station'
import type { StationPart } from '~/stations'
import { NO_FULL_SCALE, useFullScale, VOLTMETER_SETTINGS } from './useVoltmeter'

/** Volts at the speaker as the sound card hears them just now, with tone and distortion; kept as what they are. */
const { run, result } = defineProps<StationPart>()
const store = useReviewStore()
const ui = useUiStore()

const { state, heard, devices, deviceId, listen, stop } = useListening(() => VOLTMETER_SETTINGS)
const fullScaleV = useFullScale(() => result.step)

const isOn = computed(() => state.value.kind === 'listening' || state.value.kind === 'starting')
const now = computed<RecordedVolts | null>(() => {
  const { value } = heard
  if (!value) return null
  const { shares, toneHz, totalDb } = value
  return {
    totalPower: 10 ** (totalDb / 10),
    distortion: shares && Math.sqrt(shares.distortion / shares.tone),
    toneHz,
  }
})
const volts = computed(() =>
  now.value && fullScaleV.value !== null ? voltsOf(now.value, fullScaleV.value) : null,
)
const toneWords = computed(() => {
  const one = now.value
  if (!one) return ''
  if (one.toneHz === null) return 'no tone'
  const distorted = one.distortion === null ? '' : `, distortion ${printPercent(one.distortion, 1)}`
  return `${printHz(one.toneHz, 4)}${distorted}`
})
/** Near full scale a sound card cuts: no volts of it are right. */
const NEAR_CLIPPING_DB = -0.1
const isClipping = computed(() => (heard.value?.peakDb ?? -Infinity) > NEAR_CLIPPING_DB)

const AS_HEARD = 'as-heard'
const chosen = ref<string>(AS_HEARD)
const places = computed(() =>
  result.step.slots.filter(({ field }) => field.as === 'figure' && field.unit === 'V'),
)
const likely = computed(() => (now.value ? likelySlot(now.value) : null))
const choices = computed(() => [
  { value: AS_HEARD, title: `as heard: ${titleOf(likely.value)}` },
  ...places.value.map(({ id, label }) => ({ value: id, title: label })),
])

function titleOf(slotId: string | null): string {
  return places.value.find(({ id }) => id === slotId)?.label ?? '–'
}

function keep(): void {
  if (!now.value || fullScaleV.value === null || store.readOnly || state.value.kind !== 'listening') return
  if (isClipping.value) return ui.sayProblem('The sound card clips: turn it down. Nothing was kept.')
  const { device } = state.value
  const slotId = chosen.value === AS_HEARD ? likelySlot(now.value) : chosen.value
  const kept = keptVolts(now.value, {
    ...{ slotId, fullScaleV: fullScaleV.value, how: `One second from ${device}` },
    source: { kind: 'link', instrument: device },
  })
  if (run.keep([kept], titleOf(slotId))) ui.say(`${kept.text} kept: ${titleOf(slotId)}.`)
}

function toggle(): void {
  if (isOn.value) stop()
  else if (fullScaleV.value === null) ui.sayProblem(NO_FULL_SCALE)
  else void listen()
}

useKeys({ l: toggle, k: keep })
</script>

<template>
  <section class="sheet now" aria-label="Volts now">
    <div v-if="isOn" class="row live">
      <span class="figure value" data-testid="volts-now" aria-live="off">{{ printNumber(volts, 3) }}</span>
      <span class="small quiet">V rms<br />{{ toneWords }}</span>
      <VSelect v-model="chosen" class="narrow" :items="choices" label="Keep as" />
      <VBtn color="primary" :disabled="volts === null || isClipping || store.readOnly" @click="keep"
        >Keep</VBtn
      >
    </div>
    <p v-if="isOn && isClipping" class="small problem" role="alert">
      <VerdictMark state="outside" /> The sound card clips: turn it down.
    </p>
    <p v-if="state.kind === 'stopped'" class="small problem" role="alert">
      <VerdictMark state="outside" /> {{ state.words }}
    </p>
    <div class="row">
      <VBtn :variant="isOn ? 'outlined' : 'flat'" :color="isOn ? undefined : 'primary'" @click="toggle">{{
        isOn ? 'Stop listening' : 'Listen'
      }}</VBtn>
      <VSelect
        v-if="isOn && devices.length > 1"
        v-model="deviceId"
        class="narrow"
        :items="devices"
        item-value="id"
        label="Input"
      />
      <span class="small quiet">L listens, K keeps; or type what the meter shows.</span>
    </div>
  </section>
</template>

<style scoped>
.now {
  padding: 10px 14px;
  display: grid;
  gap: 8px;
}
.live {
  align-items: center;
}
.value {
  font-size: 40px;
  font-weight: 700;
  line-height: 1.1;
  min-width: 130px;
}
.narrow {
  max-width: 320px;
}
</style>
