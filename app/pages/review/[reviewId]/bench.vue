<script setup lang="ts">
import { type Calibration, isReadingInstrument } from '#core/chain'
import { printClaimW, printMhz } from '#core/quantity'
import { setShortName } from '#core/review'
import { harmonicSlots } from '#core/station'

const store = useReviewStore()
const ui = useUiStore()
const { set } = useReviewRoute()
const edits = useBenchEdits()
const review = computed(() => store.review!)
const locked = computed(() => store.readOnly)
const {
  chainId,
  chain,
  instrument,
  standingChain,
  place,
  placeOptions,
  chosenPlace,
  carrierHz,
  expected,
  limitDbm,
  checks,
} = useBenchChain()

const inHand = useBenchSelection({ chainId, chain, standingChain }, edits)
const { selectedPart, selectedInstrument, select, selectInstrument } = inHand
const { addPart, addFromLibrary, changePart, duplicatePart, removePart, moveTo, movePart } = inHand
const { addInstrument, duplicateInstrument, removeInstrument, addChain, chooseChain } = inHand

watchEffect(() => {
  ui.benchChecks = checks.value
})
onBeforeUnmount(() => {
  ui.benchChecks = []
})
const alarmParts = computed(() =>
  checks.value.flatMap(({ partId, severity }) =>
    partId && (severity === 'danger' || severity === 'caution') ? [partId] : [],
  ),
)
const before = computed(() => checks.value.filter(({ id }) => id !== 'reach'))
const reach = computed(() => checks.value.filter(({ id }) => id === 'reach'))

const radioName = computed(() => (set.value ? setShortName(set.value) : 'Radio'))
const radioDetail = computed(() => {
  const { powerW, powerFrom } = expected.value
  const level = place.value ? `, ${place.value.level.name}` : ''
  return `${printClaimW(powerW)} ${powerFrom === 'claim' ? 'claimed' : 'assumed'}${level}`
})

/** Nothing of the carrier goes into audio or antenna instruments: no level to draw. */
const isAudio = computed(
  () =>
    instrument.value !== undefined &&
    !isReadingInstrument(instrument.value) &&
    instrument.value.kind !== 'signal-generator',
)
const beforeWords = computed(() =>
  isReadingInstrument(instrument.value) ? 'Before you key up' : 'Before you connect it',
)

const measuring = ref(false)
const partCalibrations = computed(() =>
  review.value.calibrations.filter(({ partId }) => partId === selectedPart.value?.id),
)
/** Where the path is going to be read: the carrier and its harmonics within reach of the instrument. */
const suggestedHz = computed(() =>
  harmonicSlots(carrierHz.value)
    .map(({ frequencyHz }) => frequencyHz)
    .filter(hz => !instrument.value || (hz >= instrument.value.fromHz && hz <= instrument.value.toHz)),
)

function keepCalibration(calibration: Calibration): void {
  if (!chain.value) return
  edits.keepCalibration(chain.value.id, calibration)
  const resting = selectedPart.value ? edits.readingsOnOther(chain.value, selectedPart.value).length : 0
  ui.say(
    resting > 0
      ? `The measured loss stands for new readings. ${resting} earlier ones stay with the loss they were taken with until you ask.`
      : 'The measured loss stands for this part now.',
  )
}
</script>

<template>
  <div class="stack">
    <div class="spread">
      <h1>Bench check</h1>
      <BenchToolbar
        :locked="locked"
        :has-instrument="review.instruments.length > 0"
        :has-chain="chain !== undefined"
        @instrument="addInstrument"
        @chain="addChain"
        @part="addPart"
        @library="addFromLibrary"
      />
    </div>
    <OwnBenchLine />

    <section v-if="review.instruments.length === 0" class="sheet empty stack">
      <h2>Nothing on the bench yet</h2>
      <p>
        Add what you read with: a power meter, a spectrum analyser. Then add a chain for each way you connect
        it: jumpers, pads, adapters, loads. What is lost on the way is put right from then on.
      </p>
    </section>

    <ChainTabs
      v-if="review.chains.length"
      :chains="review.chains"
      :here="chain?.id ?? null"
      @choose="chooseChain"
    />
    <section v-else-if="review.instruments.length" class="sheet empty stack">
      <h2>No chain yet</h2>
      <p>
        A chain is the row of parts from the radio’s socket to one instrument. Add one, then put in its parts
        from the radio’s side.
      </p>
    </section>

    <template v-if="chain">
      <LevelStaircase
        v-if="!isAudio"
        :chain="standingChain!"
        :instrument="instrument"
        :radio-name="radioName"
        :radio-detail="radioDetail"
        :carrier-hz="carrierHz"
        :power-w="expected.powerW"
        :limit-dbm="limitDbm"
        :selected-part-id="selectedPart?.id ?? null"
        :locked="locked"
        :alarm-parts="alarmParts"
        @select="select('part', $event)"
        @select-instrument="selectInstrument"
        @move="moveTo"
      />

      <PartEditor
        v-if="selectedPart"
        :key="selectedPart.id"
        :part="selectedPart"
        :locked="locked"
        :first="chain.parts[0]?.id === selectedPart.id"
        :last="chain.parts.at(-1)?.id === selectedPart.id"
        :calibrations="partCalibrations"
        :on-other="edits.readingsOnOther(chain, selectedPart).length"
        @measure="measuring = true"
        @rejudge="edits.rejudge(chain, selectedPart)"
        @change="changePart"
        @duplicate="duplicatePart"
        @remove="removePart"
        @move="movePart"
      />
    </template>

    <MeasurePathDialog
      v-if="selectedPart && chain"
      :key="`path-${selectedPart.id}`"
      v-model:open="measuring"
      :part="selectedPart"
      :review-id="review.id"
      :suggested-hz="suggestedHz"
      @keep="keepCalibration"
    />

    <InstrumentEditor
      v-if="selectedInstrument"
      :key="selectedInstrument.id"
      :instrument="selectedInstrument"
      :locked="locked"
      @change="(label, recipe) => edits.changeInstrument(selectedInstrument!.id, label, recipe)"
      @duplicate="duplicateInstrument"
      @remove="removeInstrument"
    />

    <div v-if="chain" class="columns">
      <div class="stack">
        <section class="sheet block" aria-labelledby="before">
          <h2 id="before">{{ beforeWords }}</h2>
          <ChecksList :checks="before" />
        </section>
        <BelievablePanel
          v-if="isReadingInstrument(instrument)"
          :key="chain.id"
          :chain="chain"
          :instrument="instrument"
          :carrier-hz="carrierHz"
        />
      </div>
      <div class="stack">
        <section class="sheet block" aria-labelledby="what">
          <h2 id="what">Checked for</h2>
          <VSelect v-if="placeOptions.length" v-model="chosenPlace" :items="placeOptions" label="Carrier" />
          <p v-else class="small quiet">
            No claim yet: drawn for {{ printClaimW(expected.powerW) }} on {{ printMhz(carrierHz) }}. Fill the
            card first.
          </p>
          <StationChains v-if="set" :radio="set" />
        </section>
        <BenchConditions />
        <section v-if="reach.length" class="sheet block" aria-labelledby="reach">
          <h2 id="reach">Reach</h2>
          <ChecksList :checks="reach" />
        </section>
        <ChainFacts :key="chain.id" :chain="chain" @chosen="chooseChain" />
      </div>
    </div>

    <AlsoAnswering />
    <InstrumentList
      v-if="review.instruments.length"
      :instruments="review.instruments"
      :chosen-id="selectedInstrument?.id ?? null"
      @choose="select('instrument', $event)"
    />
  </div>
</template>

<style scoped>
.empty {
  padding: 24px;
  max-width: 640px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 14px;
  align-items: start;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
