<script setup lang="ts">
import {
  dbmFromWatts,
  printClaimW,
  printDb,
  printMhzFigure,
  printRange,
  printSigned,
  printWatts,
  wattsFromDbm,
} from '#core/quantity'
import { chainIdOf, type Kept, type SlotResult, type Step } from '#core/step'
import type { StationRun } from '~/composables/useStationRun'

/** The reading of the step in hand, large, and what it comes to at the socket. */
const { run, step, carrier } = defineProps<{ run: StationRun; step: Step; carrier: SlotResult }>()
const emit = defineEmits<{ keep: [value: Kept]; goOn: []; goBack: [] }>()
const store = useReviewStore()
const field = useTemplateRef<{ focus: () => void; select: () => void }>('field')

const { bareUnit, instrument } = run
const HINTS = {
  W: '4.37, 850 mW, 36.9 dBm; 4.4; 4.3 for two',
  dBm: '36.9 dBm or 4.37 W; −3; −4 for two',
}
const shows = computed(() => `${instrument.value?.name ?? 'No instrument'} shows (${HINTS[bareUnit.value]})`)
const label = computed(
  () => `Reading on ${printMhzFigure(step.channel.frequencyHz)} MHz, ${step.setting.level.name}`,
)
const kept = computed(() => store.context?.readingsOf(step).get(carrier.slot.id) ?? null)
const disabled = computed(() => store.readOnly || chainIdOf(step) === null)

const power = computed(() => {
  const { found } = carrier
  return found ? `${found.isUpperBound ? '<' : ''}${printWatts(wattsFromDbm(found.value))}` : '–'
})
const range = computed(() => (carrier.found ? printRange(carrier.found.budget) : ''))
const againstClaim = computed(() => {
  const { claim } = step
  if (claim.kind !== 'watts' || !carrier.found) return ''
  const differenceDb = carrier.found.value - dbmFromWatts(claim.powerW)
  const toleranceDb = store.review?.settings.claimToleranceDb ?? 0
  const tolerance = toleranceDb > 0 ? `, tolerance ${printDb(toleranceDb)}` : ''
  return `${printSigned(differenceDb, 2)} dB against ${printClaimW(claim.powerW)}${tolerance}`
})

defineExpose({ focus: () => field.value?.focus(), select: () => field.value?.select() })
</script>

<template>
  <section class="sheet entry" aria-label="Reading and result">
    <div>
      <p class="small quiet">{{ shows }}</p>
      <SlotField
        :key="step.id"
        ref="field"
        :target="carrier.slot"
        :reading="kept"
        :bare-unit="bareUnit"
        :label="label"
        large
        :disabled="disabled"
        @draft="run.showDraft"
        @keep="emit('keep', $event)"
        @go-on="emit('goOn')"
        @go-back="emit('goBack')"
      />
    </div>
    <div class="answer" aria-live="polite">
      <p class="small quiet">At the radio’s socket</p>
      <p class="figure power" data-testid="socket-power">
        {{ power }} <span v-if="range" class="range">{{ range }}</span>
      </p>
      <MarginStrip :verdict="carrier.verdict" />
      <p class="spread">
        <VerdictWord :state="carrier.verdict.state" :words="carrier.words" large data-testid="verdict" />
        <span v-if="againstClaim" class="small quiet">{{ againstClaim }}</span>
      </p>
    </div>
  </section>
</template>

<style scoped>
.entry {
  display: grid;
  grid-template-columns: minmax(220px, 340px) minmax(0, 1fr);
  gap: 14px 28px;
  padding: 14px 18px 16px;
}
.answer {
  display: grid;
  gap: 4px;
  align-content: start;
}
.power {
  font-size: 32px;
  font-weight: 700;
  line-height: 1.1;
}
.range {
  font-size: 18px;
  font-weight: 400;
  color: var(--ink-2);
}
@media (max-width: 700px) {
  .entry {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
